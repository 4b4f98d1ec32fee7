package org.sallowbrook.server.planning;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
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
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.planning.Lexicon;
import org.sallowbrook.core.planning.Likeness;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.springframework.stereotype.Component;

/**
 * Learns from the complaints of planning/complaints: a logistic regression over words, their beginnings, ends and inner letters
 * (so that slips and bent words count), over words that stand near one another, and over what the lexicon reads in them, each
 * notion and each with each. It takes some seconds, once, when complaints are first wanted.
 */
@Component
public class LearntLikeness implements Likeness {

    private static final String HARMLESS = "HARMLESS";

    /** @param heard words of the complaints learnt from, and what they are bent from */
    record Learnt(DoccatModel model, Set<String> heard) {}

    private final EnglishWords english;
    private final Complaints complaints;
    private @Nullable CompletableFuture<Learnt> model;

    public LearntLikeness(EnglishWords english, Complaints complaints) {
        this.english = english;
        this.complaints = complaints;
    }

    /** Begins to learn, and does not wait for it. */
    public synchronized CompletableFuture<Learnt> learn() {
        if (model == null || model.isCompletedExceptionally()) {
            model = CompletableFuture.supplyAsync(this::learnt);
        }
        return model;
    }

    @Override
    public Optional<Heard> hear(String words, Set<String> notions) {
        Learnt learnt = learn().join();
        // A word nobody has said yet says nothing: its letters are like another's by chance. What is no word may be a
        // slip.
        List<String> telling = Lexicon.tokens(words).stream()
                .filter(w -> !english.test(w) || bases(w).anyMatch(learnt.heard()::contains))
                .toList();
        long said = weighty(Lexicon.tokens(words));
        long known = weighty(telling);
        // Of words that were mostly never said before nobody knows what they are like.
        if (known * 2 < said || known == 0 && notions.isEmpty()) {
            return Optional.empty();
        }
        Map<String, Double> score =
                new DocumentCategorizerME(learnt.model()).scoreMap(ComplaintFeatures.said(telling, notions));
        return Optional.of(new Heard(score.get("NOW"), score.get("TODAY"), score.get("SOON")));
    }

    private static long weighty(List<String> words) {
        return words.stream().filter(w -> !Lexicon.weightless(w)).count();
    }

    private Stream<String> bases(String word) {
        return Stream.concat(Stream.of(word), english.bases(word));
    }

    private Learnt learnt() {
        TrainingParameters parameters = new TrainingParameters();
        parameters.put(TrainingParameters.ALGORITHM_PARAM, QNTrainer.MAXENT_QN_VALUE);
        parameters.put(TrainingParameters.CUTOFF_PARAM, 2);
        parameters.put(QNTrainer.L1COST_PARAM, 0.0);
        parameters.put(QNTrainer.L2COST_PARAM, 1.0);
        try {
            Lexicon lexicon = complaints.lexicon(ShippedCards.load().herbarium().taxa());
            List<DocumentSample> samples = Stream.concat(
                            Complaints.said("grave.txt").stream()
                                    .filter(l -> !l.startsWith("ASK"))
                                    .map(l -> {
                                        String[] parts = l.split("\\|", 2);
                                        return new DocumentSample(parts[0], said(parts[1], lexicon));
                                    }),
                            Complaints.said("harmless.txt").stream()
                                    .map(l -> new DocumentSample(HARMLESS, said(l, lexicon))))
                    .toList();
            Set<String> heard = samples.stream()
                    .flatMap(s -> Stream.of(s.getText()))
                    .flatMap(this::bases)
                    .collect(Collectors.toSet());
            DoccatModel model = DocumentCategorizerME.train(
                    "en",
                    ObjectStreamUtils.createObjectStream(samples),
                    parameters,
                    new DoccatFactory(new FeatureGenerator[] {new ComplaintFeatures()}));
            return new Learnt(model, heard);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String[] said(String words, Lexicon lexicon) {
        return ComplaintFeatures.said(Lexicon.tokens(words), lexicon.read(words).notions());
    }
}
