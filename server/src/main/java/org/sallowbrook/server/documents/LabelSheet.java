package org.sallowbrook.server.documents;

import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.sallowbrook.core.measure.Checks;

/**
 * A sheet of labels, in millimetres.
 *
 * @param acrossMm from the left edge of one label to that of the next; downMm: from top to top
 */
public record LabelSheet(
        double widthMm,
        double heightMm,
        int columns,
        int rows,
        double labelWidthMm,
        double labelHeightMm,
        double leftMm,
        double topMm,
        double acrossMm,
        double downMm) {

    /** What a printer moves, and what a stationer rounds off. */
    private static final double SLACK_MM = 0.6;

    private static final int MOST_COLUMNS = 10;
    private static final int MOST_ROWS = 30;

    /** Below it neither a name nor a code can be read. */
    private static final double LEAST_WIDTH_MM = 30;

    private static final double LEAST_HEIGHT_MM = 15;

    /** Labels that lie beside and below each other, on the paper. @throws org.sallowbrook.core.measure.InvalidInput by name */
    public LabelSheet {
        Checks.begin()
                .range("columns", columns, 1, MOST_COLUMNS)
                .range("rows", rows, 1, MOST_ROWS)
                .range("labelWidthMm", labelWidthMm, LEAST_WIDTH_MM, widthMm)
                .range("labelHeightMm", labelHeightMm, LEAST_HEIGHT_MM, heightMm)
                .range("leftMm", leftMm, 0, widthMm)
                .range("topMm", topMm, 0, heightMm)
                .that(
                        columns == 1 || acrossMm >= labelWidthMm - SLACK_MM && acrossMm <= widthMm,
                        "acrossMm",
                        "must be at least the width of a label")
                .that(
                        rows == 1 || downMm >= labelHeightMm - SLACK_MM && downMm <= heightMm,
                        "downMm",
                        "must be at least the height of a label")
                .done();
        Checks.begin()
                .that(
                        leftMm + (columns - 1) * acrossMm + labelWidthMm <= widthMm + SLACK_MM,
                        "columns",
                        "must fit beside each other on the paper")
                .that(
                        topMm + (rows - 1) * downMm + labelHeightMm <= heightMm + SLACK_MM,
                        "rows",
                        "must fit below each other on the paper")
                .done();
    }

    /** How many are on it. */
    public int labels() {
        return columns * rows;
    }

    /** Of one label, row by row from the top left. @param unit points to a millimetre */
    PDRectangle place(int number, float unit) {
        double x = leftMm + number % columns * acrossMm;
        double top = topMm + number / columns * downMm;
        return new PDRectangle(
                (float) x * unit,
                (float) (heightMm - top - labelHeightMm) * unit,
                (float) labelWidthMm * unit,
                (float) labelHeightMm * unit);
    }
}
