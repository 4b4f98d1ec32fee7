package org.sallowbrook.server.documents;

import jakarta.servlet.http.Cookie;
import java.util.Arrays;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** What lies in a printer. It is the device's, not the household's: each says it with every request, in a cookie of its own. */
enum PaperSize {
    A4(PDRectangle.A4),
    LETTER(PDRectangle.LETTER);

    static final String COOKIE = "sallowbrook-paper";

    private final PDRectangle page;

    PaperSize(PDRectangle page) {
        this.page = page;
    }

    PDRectangle page() {
        return page;
    }

    /** Of the device that asks now; A4 where it has said nothing. */
    static PaperSize chosen() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request)
                || request.getRequest().getCookies() == null) {
            return A4;
        }
        return Arrays.stream(request.getRequest().getCookies())
                        .filter(c -> c.getName().equals(COOKIE))
                        .map(Cookie::getValue)
                        .anyMatch(LETTER.name()::equals)
                ? LETTER
                : A4;
    }
}
