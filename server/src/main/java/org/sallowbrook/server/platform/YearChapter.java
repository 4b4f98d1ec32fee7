package org.sallowbrook.server.platform;

import java.time.LocalDate;
import java.util.List;

/** What a room tells of a time that is past: a chapter in the book of the year. */
public interface YearChapter {

    /** In the order of the work. */
    enum Chapter {
        GATHERED,
        MADE,
        TAKEN,
        WRITTEN_DOWN
    }

    /** @param pictures as JPEG */
    record Line(LocalDate day, String words, List<byte[]> pictures) {}

    Chapter chapter();

    /**
     * Days of which something is told, the first first.
     *
     * @param most lines that are read at all
     */
    List<Line> lines(LocalDate from, LocalDate to, int most);
}
