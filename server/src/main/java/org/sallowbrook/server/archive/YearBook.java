package org.sallowbrook.server.archive;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.platform.YearChapter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The book of a year: everything gathered, made, taken and written down in it, with its pictures. */
@Component
class YearBook {

    /** More than a busy household of ten has in a year. */
    private static final int MOST = 3000;

    /** A book that a mail can carry. */
    private static final int MOST_PICTURES = 80;

    private static final Map<YearChapter.Chapter, String> HEADINGS = Map.of(
            YearChapter.Chapter.GATHERED, "Gathered",
            YearChapter.Chapter.MADE, "Made",
            YearChapter.Chapter.TAKEN, "Taken",
            YearChapter.Chapter.WRITTEN_DOWN, "Written down");

    private final List<YearChapter> chapters;
    private final HouseholdService household;

    YearBook(List<YearChapter> chapters, HouseholdService household) {
        this.chapters = chapters.stream()
                .sorted(Comparator.comparing(YearChapter::chapter))
                .toList();
        this.household = household;
    }

    @Transactional(readOnly = true)
    public Sheet of(int year) {
        Sheet.Builder sheet = Sheet.a4(household.settings().name() + ", " + year);
        int pictures = 0;
        int left = 0;
        boolean any = false;
        for (YearChapter chapter : chapters) {
            List<YearChapter.Line> lines = chapter.lines(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31), MOST);
            if (lines.isEmpty()) {
                continue;
            }
            any = true;
            sheet.heading(HEADINGS.getOrDefault(chapter.chapter(), "") + ", " + lines.size()
                    + (lines.size() == MOST ? " lines; what comes after them is left out" : ""));
            for (YearChapter.Line line : lines) {
                sheet.rows(List.of(new Sheet.Row(Words.day(line.day()), line.words())));
                for (byte[] picture : line.pictures()) {
                    if (pictures < MOST_PICTURES) {
                        sheet.picture(picture, line.words());
                        pictures++;
                    } else {
                        left++;
                    }
                }
            }
        }
        if (!any) {
            sheet.text("Nothing was written down in this year.");
        }
        if (left > 0) {
            sheet.text(left + " more pictures are left out; the archive has all of them.", Sheet.Tone.SOFT);
        }
        return sheet.text("It says who was ill and who took what. Struck out lines are not in it.", Sheet.Tone.SOFT)
                .done();
    }
}
