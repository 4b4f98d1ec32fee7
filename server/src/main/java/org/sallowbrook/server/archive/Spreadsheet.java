package org.sallowbrook.server.archive;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.ListIn;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.MappingIterator;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvReadFeature;
import tools.jackson.dataformat.csv.CsvSchema;

/**
 * A table as a spreadsheet saves it, whatever parts its fields and whatever its letters are.
 *
 * @param letters how it was decoded, in words where it was guessed; empty where it was sure
 * @param rows below the headings, without those in which nothing stands
 */
record Spreadsheet(String letters, char separator, List<String> headings, List<Row> rows) {

    /** @param line in the file, from 1 */
    record Row(int line, List<String> cells) {}

    static final int MOST_LINES = 1000;
    private static final int MOST_COLUMNS = 60;
    private static final int LONGEST_CELL = 2000;

    private static final CsvMapper CSV = CsvMapper.builder()
            .enable(CsvReadFeature.WRAP_AS_ARRAY, CsvReadFeature.TRIM_SPACES)
            .build();

    /** Where bytes are no UTF-8, they come from an older spreadsheet of the west. */
    private static final Charset WINDOWS = Charset.forName("windows-1252");

    /** @throws InvalidInput saying what about the file can't be read */
    static Spreadsheet read(byte[] bytes, ListIn list) {
        if (bytes.length > 1 && bytes[0] == 'P' && bytes[1] == 'K') {
            throw wrong("is a spreadsheet's own file; save it there as CSV, and give that");
        }
        boolean[] guessed = new boolean[1];
        String text = decode(bytes, guessed);
        if (text.indexOf('\0') >= 0) {
            throw wrong("holds letters that can't be seen; save it as CSV in UTF-8, and give that");
        }
        List<List<String>> other = list.table(text.stripLeading());
        if (other != null) {
            return table("", ',', other, 1);
        }
        int first = 1;
        char separator;
        if (text.regionMatches(true, 0, "sep=", 0, 4) && text.length() > 4) {
            // So a spreadsheet tells another one what parts the fields.
            separator = text.charAt(4);
            text = text.substring(Math.max(5, text.indexOf('\n') + 1));
            first = 2;
        } else {
            separator = separator(text);
        }
        return table(
                guessed[0] ? "read as Western European (Windows): look whether ä, é and the like are right" : "",
                separator,
                lines(text, separator),
                first);
    }

    /** @param first line of the headings */
    private static Spreadsheet table(String letters, char separator, List<List<String>> all, int first) {
        if (all.isEmpty()) {
            throw wrong("must have a line of headings, and one more at least");
        }
        if (all.size() > MOST_LINES + 1) {
            throw wrong("must have at most " + MOST_LINES + " lines; part it in several");
        }
        List<String> headings = all.get(0);
        List<Row> rows = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            if (all.get(i).stream().anyMatch(c -> !c.isBlank())) {
                rows.add(new Row(first + i, all.get(i)));
            }
        }
        if (rows.isEmpty()) {
            throw wrong("must have a line of headings, and one more at least");
        }
        return new Spreadsheet(letters, separator, headings, rows);
    }

    private static String decode(byte[] bytes, boolean[] guessed) {
        if (bytes.length > 1 && bytes[0] == (byte) 0xff && bytes[1] == (byte) 0xfe) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (bytes.length > 1 && bytes[0] == (byte) 0xfe && bytes[1] == (byte) 0xff) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return text.startsWith("\ufeff") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            guessed[0] = true;
            return new String(bytes, WINDOWS);
        }
    }

    /** Whichever of them the headings have most of. */
    private static char separator(String text) {
        int end = text.indexOf('\n');
        String headings = end < 0 ? text : text.substring(0, end);
        char best = ',';
        for (char c : new char[] {';', '\t'}) {
            if (count(headings, c) > count(headings, best)) {
                best = c;
            }
        }
        return best;
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }

    private static List<List<String>> lines(String text, char separator) {
        List<List<String>> all = new ArrayList<>();
        try (MappingIterator<String[]> lines = CSV.readerFor(String[].class)
                .with(CsvSchema.emptySchema().withColumnSeparator(separator))
                .readValues(text)) {
            while (lines.hasNext()) {
                String[] cells = lines.next();
                if (cells.length > MOST_COLUMNS) {
                    throw wrong("must have at most " + MOST_COLUMNS + " columns");
                }
                if (Arrays.stream(cells).anyMatch(c -> c != null && c.length() > LONGEST_CELL)) {
                    throw wrong("line " + (all.size() + 1) + ": a field has more than " + LONGEST_CELL
                            + " letters; is a quotation mark missing?");
                }
                all.add(Arrays.stream(cells)
                        .map(c -> c == null ? "" : c.strip())
                        .toList());
                if (all.size() > MOST_LINES + 1) {
                    throw wrong("must have at most " + MOST_LINES + " lines below its headings; part it in several");
                }
            }
        } catch (JacksonException e) {
            throw wrong("line " + (all.size() + 1) + " can't be read: is a quotation mark missing?");
        }
        return all;
    }

    static InvalidInput wrong(String why) {
        return new InvalidInput(List.of(new InvalidInput.Violation("file", why)));
    }
}
