package org.sallowbrook.server.documents;

/** Sheets of labels as stationers sell them, by the size of one label. */
public enum LabelPaper {
    A4_96_X_50("A4, 96 × 50.8 mm", 210, 297, 2, 5, 96, 50.8, 8, 21.5, 98, 50.8),
    A4_99_X_68("A4, 99.1 × 67.7 mm", 210, 297, 2, 4, 99.1, 67.7, 4.65, 13.1, 101.6, 67.7),
    A4_99_X_38("A4, 99.1 × 38.1 mm", 210, 297, 2, 7, 99.1, 38.1, 4.65, 15.15, 101.6, 38.1),
    A4_70_X_36("A4, 70 × 36 mm", 210, 297, 3, 8, 70, 36, 0, 4.5, 70, 36),
    A4_64_X_38("A4, 63.5 × 38.1 mm", 210, 297, 3, 7, 63.5, 38.1, 7.2, 15.15, 66.05, 38.1),
    LETTER_4_X_2_IN("Letter, 4 × 2 in", 215.9, 279.4, 2, 5, 101.6, 50.8, 3.95, 12.7, 106.4, 50.8),
    LETTER_4_X_1_33_IN("Letter, 4 × 1⅓ in", 215.9, 279.4, 2, 7, 101.6, 33.87, 3.95, 21.15, 106.4, 33.87);

    private final String words;
    private final LabelSheet sheet;

    /** As {@link LabelSheet}. */
    LabelPaper(
            String words,
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
        this.words = words;
        sheet = new LabelSheet(
                widthMm, heightMm, columns, rows, labelWidthMm, labelHeightMm, leftMm, topMm, acrossMm, downMm);
    }

    /** As a stationer calls it. */
    public String words() {
        return words;
    }

    public LabelSheet sheet() {
        return sheet;
    }
}
