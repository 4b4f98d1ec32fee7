package org.sallowbrook.server.documents;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.sallowbrook.server.PrintedCode;
import org.testng.annotations.Test;

public class PaperTest {

    /** A jar's address is drawn by lot: a code that reads for one may not read for the next. */
    @Test
    public void theCodeOfAnyJarCanBeReadFromThePaper() throws IOException {
        Random random = new Random(7);
        List<String> unread = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            String address = "http://127.0.0.1:" + (1024 + random.nextInt(60000)) + "/shelf/"
                    + new UUID(random.nextLong(), random.nextLong());
            if (!address.equals(read(address))) {
                unread.add(address);
            }
        }
        assertThat(unread).isEmpty();
    }

    private static String read(String address) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage sheet = new PDPage(new PDRectangle(90, 90));
            document.addPage(sheet);
            try (PDPageContentStream out = new PDPageContentStream(document, sheet)) {
                Paper.code(out, address, 5, 5);
            }
            return PrintedCode.read(document);
        }
    }
}
