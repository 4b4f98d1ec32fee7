package org.sallowbrook.server.documents;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;

/**
 * A document: what it says, in the order in which it is read.
 *
 * @param title its name, as on the tab of a reader
 */
public record Sheet(String title, Size size, List<Block> blocks) {

    public enum Size {
        A4,
        /** 90 x 50 mm, for a jar or a bottle: all on one side, smaller where it must be. */
        LABEL
    }

    public enum Tone {
        HEADING,
        PLAIN,
        /** What is read first. */
        LARGE,
        SOFT,
        /** What must not be overlooked. */
        GRAVE,
        /** A botanical name. */
        LATIN
    }

    /** A line of it, before it is fitted to a paper. @param point whether it is one of several */
    record Run(String words, Tone tone, boolean point) {}

    /** What a document is made of: shown on the page and set on the paper alike. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    public sealed interface Block {

        /** As it is set on paper; none for what is drawn. */
        List<Run> runs();
    }

    @JsonTypeName("TEXT")
    public record Text(String words, Tone tone) implements Block {
        @Override
        public List<Run> runs() {
            return List.of(new Run(words, tone, false));
        }
    }

    @JsonTypeName("POINTS")
    public record Points(List<String> words) implements Block {
        @Override
        public List<Run> runs() {
            return words.stream()
                    .map(w -> new Run(boxed(w) ? w : "\u2022 " + w, Tone.PLAIN, true))
                    .toList();
        }
    }

    /** To be ticked off, or ticked: followed by a blank that does not part it from its words at the end of a line. */
    public static final String OPEN = "\u2610\u00a0";

    public static final String DONE = "\u2611\u00a0";

    /** A box is mark enough. */
    private static boolean boxed(String words) {
        return words.startsWith(OPEN) || words.startsWith(DONE);
    }

    /** A table of two columns, such as days and what is taken on them. */
    @JsonTypeName("ROWS")
    public record Rows(List<Row> rows) implements Block {
        @Override
        public List<Run> runs() {
            return rows.stream()
                    .map(r -> new Run(r.label() + ": " + r.words(), Tone.PLAIN, true))
                    .toList();
        }
    }

    public record Row(String label, String words) {}

    /**
     * A QR code.
     *
     * @param caption what stands for it where no reader is at hand
     */
    @JsonTypeName("CODE")
    public record Code(String address, String caption) implements Block {
        @Override
        public List<Run> runs() {
            return List.of();
        }
    }

    /** @param words what it shows, for whoever does not see it */
    @JsonTypeName("PICTURE")
    public record Picture(byte[] jpeg, String words) implements Block {
        @Override
        public List<Run> runs() {
            return List.of();
        }
    }

    public Sheet {
        blocks = List.copyOf(blocks);
    }

    public static Builder a4(String title) {
        return new Builder(title, Size.A4);
    }

    public static Builder label(String title) {
        return new Builder(title, Size.LABEL);
    }

    /** One block after the other; what is empty is left out. */
    public static final class Builder {

        private final String title;
        private final Size size;
        private final List<Block> blocks = new ArrayList<>();

        private Builder(String title, Size size) {
            this.title = title;
            this.size = size;
        }

        public Builder heading(String words) {
            return text(words, Tone.HEADING);
        }

        public Builder text(String words) {
            return text(words, Tone.PLAIN);
        }

        public Builder text(String words, Tone tone) {
            if (!words.isBlank()) {
                blocks.add(new Text(words, tone));
            }
            return this;
        }

        public Builder points(List<String> words) {
            if (!words.isEmpty()) {
                blocks.add(new Points(List.copyOf(words)));
            }
            return this;
        }

        public Builder rows(List<Row> rows) {
            if (!rows.isEmpty()) {
                blocks.add(new Rows(List.copyOf(rows)));
            }
            return this;
        }

        public Builder code(String address, String caption) {
            blocks.add(new Code(address, caption));
            return this;
        }

        public Builder picture(byte[] jpeg, String words) {
            blocks.add(new Picture(jpeg, words));
            return this;
        }

        public Sheet done() {
            return new Sheet(title, size, blocks);
        }
    }
}
