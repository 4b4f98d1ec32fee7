package org.sallowbrook.server.planning;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import opennlp.tools.doccat.DoccatFactory;
import opennlp.tools.doccat.DoccatModel;
import opennlp.tools.doccat.DocumentCategorizerME;
import opennlp.tools.doccat.DocumentSample;
import opennlp.tools.doccat.FeatureGenerator;
import opennlp.tools.ml.maxent.quasinewton.QNTrainer;
import opennlp.tools.util.ObjectStreamUtils;
import opennlp.tools.util.TrainingParameters;
import org.sallowbrook.core.planning.Lexicon;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.springframework.core.io.ClassPathResource;

/**
 * Learns from the complaints of planning/complaints: a logistic regression over words, their beginnings, ends and inner letters
 * (so that slips and bent words count), over words that stand near one another, and over what the lexicon reads in them, each
 * notion and each with each. It takes some ten seconds, so the build does it, and nobody who is frightened waits for it.
 */
public final class LearnComplaints {

    private static final String LEARNT = "planning/complaints/learnt.bin";
    private static final String HARMLESS = "HARMLESS";
    private static final List<String> FILES = List.of("grave.txt", "harmless.txt");

    private LearnComplaints() {}

    /** @param classes the folder of the compiled classes, where what was learnt is laid */
    public static void main(String... classes) throws IOException {
        EnglishWords english = new EnglishWords();
        learn(english, new Complaints(english)).serialize(Path.of(classes[0], LEARNT));
    }

    static DoccatModel learnt() throws IOException {
        try (var in = new ClassPathResource(LEARNT).getInputStream()) {
            return new DoccatModel(in);
        }
    }

    /** Words of the complaints learnt from, and what they are bent from. */
    static Set<String> heard(EnglishWords english) throws IOException {
        List<String> said = new ArrayList<>();
        for (String file : FILES) {
            said.addAll(Complaints.said(file));
        }
        return said.stream()
                .filter(LearnComplaints::learntFrom)
                .map(l -> l.substring(l.indexOf('|') + 1))
                .flatMap(l -> Lexicon.tokens(l).stream())
                .distinct()
                .flatMap(w -> bases(w, english))
                .collect(Collectors.toSet());
    }

    static Stream<String> bases(String word, EnglishWords english) {
        return Stream.concat(Stream.of(word), english.bases(word));
    }

    /** Whoever ought to be asked first is neither grave nor harmless. */
    private static boolean learntFrom(String line) {
        return !line.startsWith("ASK");
    }

    private static DoccatModel learn(EnglishWords english, Complaints complaints) throws IOException {
        TrainingParameters parameters = new TrainingParameters();
        parameters.put(TrainingParameters.ALGORITHM_PARAM, QNTrainer.MAXENT_QN_VALUE);
        parameters.put(TrainingParameters.CUTOFF_PARAM, 2);
        parameters.put(QNTrainer.L1COST_PARAM, 0.0);
        parameters.put(QNTrainer.L2COST_PARAM, 1.0);
        Lexicon lexicon = complaints.lexicon(ShippedCards.load().herbarium().taxa());
        List<DocumentSample> samples = Stream.concat(
                        Complaints.said("grave.txt").stream()
                                .filter(LearnComplaints::learntFrom)
                                .map(l -> {
                                    String[] parts = l.split("\\|", 2);
                                    return new DocumentSample(parts[0], said(parts[1], lexicon));
                                }),
                        Complaints.said("harmless.txt").stream()
                                .map(l -> new DocumentSample(HARMLESS, said(l, lexicon))))
                .toList();
        return DocumentCategorizerME.train(
                "en",
                ObjectStreamUtils.createObjectStream(samples),
                parameters,
                new DoccatFactory(new FeatureGenerator[] {new ComplaintFeatures()}));
    }

    private static String[] said(String words, Lexicon lexicon) {
        return ComplaintFeatures.said(Lexicon.tokens(words), lexicon.read(words).notions());
    }
}
