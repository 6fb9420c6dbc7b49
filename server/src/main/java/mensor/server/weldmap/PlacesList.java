package mensor.server.weldmap;

import java.util.ArrayList;
import java.util.List;
import mensor.exchange.UnreadableInput;
import mensor.exchange.WeldList;
import mensor.exchange.WeldList.Column;
import mensor.server.web.Refusal;

/** The places that a weld list has in its columns sheet, x and y. */
final class PlacesList {
    static List<WeldMaps.Placed> read(String list) {
        List<WeldMaps.Placed> places = new ArrayList<>();
        try {
            for (WeldList.Row row : WeldList.read(list).rows()) {
                if (!row.cell(Column.SHEET).isEmpty()) {
                    places.add(new WeldMaps.Placed(
                            row.cell(Column.MARK),
                            row.cell(Column.WELD_NO),
                            row.cell(Column.SHEET),
                            share(row, Column.X),
                            share(row, Column.Y)));
                }
            }
        } catch (UnreadableInput e) {
            throw Refusal.invalid("list", e.problem());
        }
        if (places.isEmpty()) {
            throw Refusal.invalid(
                    "list", "no weld of this list has a sheet: the columns sheet, x and y say where each is");
        }
        return places;
    }

    private static double share(WeldList.Row row, Column column) {
        try {
            double share = Double.parseDouble(row.cell(column).replace(',', '.'));
            if (share >= 0 && share <= 1) {
                return share;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw Refusal.invalid(
                "list",
                "line " + row.line() + ", " + column.heading()
                        + ": a share of the sheet from 0 to 1 is required, not \"" + row.cell(column) + "\"");
    }

    private PlacesList() {}
}
