package org.sallowbrook.server;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.ReaderException;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Reads the code on a printed page as a hand-held reader does: from one distance, and if it must from another. */
public final class PrintedCode {

    private PrintedCode() {}

    /** What the code says, or an empty text if it can be read from no distance. */
    public static String read(PDDocument document) throws IOException {
        PDFRenderer renderer = new PDFRenderer(document);
        for (float dpi : new float[] {300, 240, 180, 360}) {
            var source = new BufferedImageLuminanceSource(renderer.renderImageWithDPI(0, dpi));
            try {
                return new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(source)), Map.of(DecodeHintType.TRY_HARDER, true))
                        .getText();
            } catch (ReaderException unreadableFromHere) {
                continue;
            }
        }
        return "";
    }
}
