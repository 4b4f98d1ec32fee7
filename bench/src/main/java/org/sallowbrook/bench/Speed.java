package org.sallowbrook.bench;

import java.io.IOException;
import java.util.Collection;
import java.util.Locale;
import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.Result;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs every JMH benchmark of this module: docs/measurements.md, section speed. */
public final class Speed {

    private Speed() {}

    public static void main(String[] args) throws RunnerException, IOException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include("org\\.sallowbrook\\.bench\\..*Speed\\..*")
                        .addProfiler(GCProfiler.class)
                        .build())
                .run();
        StringBuilder text = new StringBuilder("## Speed of the core\n\n");
        text.append("`./sallowbrook bench speed`; JMH, one fork, one thread, ")
                .append(Runtime.version())
                .append(", ")
                .append(Runtime.getRuntime().availableProcessors())
                .append(" cores.\n\n| what | time | error (99.9 %) | kB allocated |\n|---|---|---|---|\n");
        for (RunResult run : results) {
            Result<?> time = run.getPrimaryResult();
            Result<?> bytes = run.getSecondaryResults().get("gc.alloc.rate.norm");
            String name = run.getParams().getBenchmark();
            text.append(String.format(
                    Locale.ROOT,
                    "| %s %s | %.3g %s | %.2g | %.0f |%n",
                    name.substring(name.lastIndexOf('.', name.lastIndexOf('.') - 1) + 1),
                    parameters(run),
                    time.getScore(),
                    time.getScoreUnit(),
                    time.getScoreError(),
                    bytes == null ? Double.NaN : bytes.getScore() / 1024));
        }
        Measurements.write("speed", text.toString());
    }

    private static String parameters(RunResult run) {
        StringBuilder text = new StringBuilder();
        for (String key : run.getParams().getParamsKeys()) {
            text.append(key).append('=').append(run.getParams().getParam(key)).append(' ');
        }
        return text.toString().strip();
    }
}
