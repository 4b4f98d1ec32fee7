package org.sallowbrook.server.documents;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.Cookie;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.PrintedCode;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
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

    /** What was chosen on a device holds for what it prints; whoever chose nothing, or nonsense, prints on A4. */
    @Test
    public void itIsSetOnThePaperOfWhoeverPrints() throws IOException {
        Sheet sheet = Sheet.a4("Wall card").text("some words").done();
        assertThat(printed(sheet, null)).isEqualTo(PDRectangle.A4.getHeight());
        assertThat(printed(sheet, "FOOLSCAP")).isEqualTo(PDRectangle.A4.getHeight());
        assertThat(printed(sheet, "LETTER")).isEqualTo(PDRectangle.LETTER.getHeight());
    }

    private static float printed(Sheet sheet, @Nullable String cookie) throws IOException {
        MockHttpServletRequest request = new MockHttpServletRequest();
        if (cookie != null) {
            request.setCookies(new Cookie(PaperSize.COOKIE, cookie));
        }
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
        try (PDDocument document = Loader.loadPDF(Paper.response(sheet, "wall").getBody())) {
            return document.getPage(0).getMediaBox().getHeight();
        } finally {
            RequestContextHolder.resetRequestAttributes();
        }
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
