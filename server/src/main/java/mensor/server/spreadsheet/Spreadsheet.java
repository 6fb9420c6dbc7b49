package mensor.server.spreadsheet;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mensor.server.reading.FileReading;
import mensor.server.reading.OwnProcess;
import mensor.server.web.Refusal;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;

/** A list as a spreadsheet's own file (.xlsx): its first sheet in as a list with commas, and such a list out. */
public final class Spreadsheet {
    private static final String FIELD = "table";
    private static final int MOST_ROWS = 100_000;
    private static final int MOST_COLUMNS = 200;
    private static final int MOST_LETTERS = 20_000_000;

    /** As many digits as a spreadsheet keeps: what lies behind them is how it reckons, not what was typed. */
    private static final MathContext DIGITS = new MathContext(15);

    /** No length, weight or count has more places than this, before or behind the point. */
    private static final int MOST_PLACES = 40;

    private static final Pattern DATE = Pattern.compile("(?i).*(yy|[dm][/.-][dm]).*");

    /** Written as a number: a mark such as 007 stays a text. */
    private static final Pattern NUMBER = Pattern.compile("-?(0|[1-9]\\d{0,11})(\\.\\d{1,9})?");

    private Spreadsheet() {}

    public static boolean isOne(byte[] file) {
        return file.length > 4 && file[0] == 'P' && file[1] == 'K' && file[2] == 3 && file[3] == 4;
    }

    /** The first sheet; the rows keep their numbers, so that a fault's line is the sheet's row. */
    public static String toList(byte[] xlsx) {
        if (!isOne(xlsx)) {
            throw Refusal.invalid(FIELD, "this is no .xlsx file; save the sheet as .xlsx or as CSV");
        }
        return new String(
                OwnProcess.read(FirstSheet.class, xlsx, FIELD, "this .xlsx file is damaged, or locked by a password"),
                StandardCharsets.UTF_8);
    }

    /** Its rows as a list. */
    public static final class FirstSheet implements FileReading {
        @Override
        public byte[] read(byte[] xlsx) throws IOException {
            StringBuilder out = new StringBuilder();
            try (ReadableWorkbook book =
                            new ReadableWorkbook(new ByteArrayInputStream(xlsx), new ReadingOptions(true, false));
                    Stream<Row> rows = book.getFirstSheet().openStream();
                    CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
                int line = 0;
                for (Iterator<Row> i = rows.iterator(); i.hasNext(); ) {
                    Row row = i.next();
                    if (row.getRowNum() > MOST_ROWS || row.getCellCount() > MOST_COLUMNS) {
                        throw Refusal.invalid(
                                FIELD,
                                "a sheet has at most " + MOST_ROWS + " rows and " + MOST_COLUMNS + " columns here");
                    }
                    for (line++; line < row.getRowNum(); line++) {
                        printer.println();
                    }
                    printer.printRecord(cells(row));
                    if (out.length() > MOST_LETTERS) {
                        throw Refusal.invalid(FIELD, "this sheet holds more than is taken here: 20 million letters");
                    }
                }
            }
            return out.toString().getBytes(StandardCharsets.UTF_8);
        }
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (int c = 0; c < row.getCellCount(); c++) {
            Cell cell = row.getCell(c);
            cells.add(cell == null ? "" : text(cell));
        }
        return cells;
    }

    private static String text(Cell cell) {
        CellType type = cell.getType();
        if (type == CellType.NUMBER) {
            String format = cell.getDataFormatString();
            if (format != null && DATE.matcher(format).matches()) {
                return cell.asDate().toLocalDate().toString();
            }
            BigDecimal value = new BigDecimal(cell.getRawValue()).round(DIGITS).stripTrailingZeros();
            boolean isLong = Math.abs((long) value.scale()) > MOST_PLACES;
            return isLong ? value.toString() : value.toPlainString(); // 1e999999999 is not written out
        }
        if (type == CellType.BOOLEAN) {
            return Boolean.TRUE.equals(cell.asBoolean()) ? "yes" : "no";
        }
        return cell.getText() == null || type == CellType.ERROR ? "" : cell.getText();
    }

    /** @param list with commas; what was quoted against a formula is a text here anyway */
    public static byte[] of(String list, String name) {
        String content = list.startsWith("\uFEFF") ? list.substring(1) : list;
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            try (Workbook book = new Workbook(out, "Mensor", "1.0");
                    CSVParser parser = CSVParser.parse(new StringReader(content), CSVFormat.RFC4180)) {
                Worksheet sheet = book.newWorksheet(name.replaceAll("[\\[\\]*?/\\\\:']", " "));
                int line = 0;
                for (CSVRecord r : parser) {
                    for (int c = 0; c < r.size(); c++) {
                        put(sheet, line, c, r.get(c).replaceFirst("^'(?=[=+@-])", ""));
                    }
                    line++;
                }
                if (line > 0) {
                    sheet.freezePane(0, 1);
                }
            }
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void put(Worksheet sheet, int row, int column, String text) {
        if (NUMBER.matcher(text).matches()) {
            sheet.value(row, column, Double.valueOf(text.toLowerCase(Locale.ROOT)));
        } else if (!text.isEmpty()) {
            sheet.value(row, column, text);
        }
    }
}
