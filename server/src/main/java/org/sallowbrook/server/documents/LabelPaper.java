package org.sallowbrook.server.documents;

import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Sheets of labels as stationers sell them, by the size of one label. */
public enum LabelPaper {
    A4_96_X_50("A4, 96 × 50.8 mm", 210, 297, 2, 5, 96, 50.8f, 8, 21.5f, 98, 50.8f),
    A4_99_X_68("A4, 99.1 × 67.7 mm", 210, 297, 2, 4, 99.1f, 67.7f, 4.65f, 13.1f, 101.6f, 67.7f),
    A4_99_X_38("A4, 99.1 × 38.1 mm", 210, 297, 2, 7, 99.1f, 38.1f, 4.65f, 15.15f, 101.6f, 38.1f),
    A4_70_X_36("A4, 70 × 36 mm", 210, 297, 3, 8, 70, 36, 0, 4.5f, 70, 36),
    A4_64_X_38("A4, 63.5 × 38.1 mm", 210, 297, 3, 7, 63.5f, 38.1f, 7.2f, 15.15f, 66.05f, 38.1f),
    LETTER_4_X_2_IN("Letter, 4 × 2 in", 215.9f, 279.4f, 2, 5, 101.6f, 50.8f, 3.95f, 12.7f, 106.4f, 50.8f),
    LETTER_4_X_1_33_IN("Letter, 4 × 1⅓ in", 215.9f, 279.4f, 2, 7, 101.6f, 33.87f, 3.95f, 21.15f, 106.4f, 33.87f);

    private final String words;
    private final float widthMm;
    private final float heightMm;
    private final int columns;
    private final int rows;
    private final float labelWidthMm;
    private final float labelHeightMm;
    private final float leftMm;
    private final float topMm;
    private final float acrossMm;
    private final float downMm;

    /** @param acrossMm from the left edge of one label to that of the next; downMm: from top to top */
    LabelPaper(
            String words,
            float widthMm,
            float heightMm,
            int columns,
            int rows,
            float labelWidthMm,
            float labelHeightMm,
            float leftMm,
            float topMm,
            float acrossMm,
            float downMm) {
        this.words = words;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
        this.columns = columns;
        this.rows = rows;
        this.labelWidthMm = labelWidthMm;
        this.labelHeightMm = labelHeightMm;
        this.leftMm = leftMm;
        this.topMm = topMm;
        this.acrossMm = acrossMm;
        this.downMm = downMm;
    }

    /** As a stationer calls it. */
    public String words() {
        return words;
    }

    float widthMm() {
        return widthMm;
    }

    float heightMm() {
        return heightMm;
    }

    /** How many are on a sheet. */
    public int labels() {
        return columns * rows;
    }

    /** Of one label, row by row from the top left. @param unit points to a millimetre */
    PDRectangle place(int number, float unit) {
        float x = leftMm + number % columns * acrossMm;
        float top = topMm + number / columns * downMm;
        return new PDRectangle(
                x * unit, (heightMm - top - labelHeightMm) * unit, labelWidthMm * unit, labelHeightMm * unit);
    }
}
