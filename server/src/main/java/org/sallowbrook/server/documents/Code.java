package org.sallowbrook.server.documents;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** An address as a square that a phone's camera reads. */
public final class Code {

    /** Four cells around it stay light, as ISO/IEC 18004 wants. */
    private static final Map<EncodeHintType, Object> HINTS =
            Map.of(EncodeHintType.MARGIN, 4, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M);

    private final BitMatrix cells;

    private Code(BitMatrix cells) {
        this.cells = cells;
    }

    public static Code of(String address) {
        try {
            return new Code(new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0, HINTS));
        } catch (WriterException e) {
            throw new IllegalArgumentException("too long for a code: " + address, e);
        }
    }

    /** In cells. */
    public int side() {
        return cells.getWidth();
    }

    boolean dark(int column, int row) {
        return cells.get(column, row);
    }

    /** Its dark cells as SVG draws them, a cell one unit wide. */
    public String path() {
        StringBuilder path = new StringBuilder();
        for (int row = 0; row < side(); row++) {
            for (int column = 0; column < side(); column++) {
                if (dark(column, row)) {
                    path.append('M').append(column).append(' ').append(row).append("h1v1h-1z");
                }
            }
        }
        return path.toString();
    }
}
