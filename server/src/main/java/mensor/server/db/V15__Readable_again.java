package mensor.server.db;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the format reads no more is left out of joints and entries that were stored before: what the size means of a fillet
 * drawn by its throat, equivalent legs of a groove, a gap without a length, and a flat or convex face beside a concavity.
 * Each said nothing that was judged. Signed records keep their text.
 */
public class V15__Readable_again extends BaseJavaMigration {
    private final JsonMapper json = JsonMapper.shared();

    private interface Change {
        /** Whether something was left out. */
        boolean of(ObjectNode document);
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection db = context.getConnection();
        rewrite(db, "joint", "document", this::joint);
        rewrite(db, "entry", "content", this::face);
    }

    private void rewrite(Connection db, String table, String column, Change change) throws SQLException {
        try (PreparedStatement select = db.prepareStatement("select id, " + column + " from " + table);
                ResultSet rows = select.executeQuery();
                PreparedStatement update =
                        db.prepareStatement("update " + table + " set " + column + " = ? where id = ?")) {
            while (rows.next()) {
                if (json.readTree(rows.getString(2)) instanceof ObjectNode document && change.of(document)) {
                    update.setString(1, json.writeValueAsString(document));
                    update.setObject(2, rows.getObject(1));
                    update.executeUpdate();
                }
            }
        }
    }

    private boolean joint(ObjectNode joint) {
        boolean meaning = joint.has("throat") && joint.remove("sizeMeans") != null;
        boolean groove = "groove".equals(joint.path("weld").asString(""));
        boolean legs = groove && "equivalent".equals(joint.path("legs").asString("")) && joint.remove("legs") != null;
        boolean gaps = joint.get("gaps") instanceof ArrayNode list && withoutPoints(list);
        return meaning || legs || gaps;
    }

    private static boolean withoutPoints(ArrayNode gaps) {
        int before = gaps.size();
        gaps.removeIf(g -> {
            Length from = length(g.path("from"));
            Length to = length(g.path("to"));
            return from != null && to != null && from.compareTo(to) == 0;
        });
        return gaps.size() < before;
    }

    private boolean face(ObjectNode entry) {
        Length hollow = length(entry.path("concavity"));
        boolean flat = !"concave".equals(entry.path("face").asString("concave"));
        return hollow != null && hollow.isPositive() && flat && entry.remove("face") != null;
    }

    private static Length length(JsonNode value) {
        try {
            return value.isValueNode() ? Length.parse(value.asString(""), Unit.INCH) : null;
        } catch (LengthFormatException e) {
            return null;
        }
    }
}
