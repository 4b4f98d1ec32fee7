package org.sallowbrook.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Puts a section into docs/measurements.md, in the place of the one of the same name. */
final class Measurements {

    private static final Path FILE = Path.of("docs", "measurements.md");

    private Measurements() {}

    static void write(String section, String text) throws IOException {
        String begin = "<!-- begin " + section + " -->\n";
        String end = "<!-- end " + section + " -->\n";
        String all = Files.exists(FILE) ? Files.readString(FILE) : "# Measurements\n\n";
        int from = all.indexOf(begin);
        int to = all.indexOf(end);
        String block = begin + text + end;
        String next = from < 0 ? all + block + "\n" : all.substring(0, from) + block + all.substring(to + end.length());
        Files.writeString(FILE, next);
        System.out.println(text);
    }
}
