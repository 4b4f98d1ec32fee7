package org.sallowbrook.server.planning;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import opennlp.tools.doccat.DoccatModel;
import opennlp.tools.doccat.DocumentCategorizerME;
import org.sallowbrook.core.planning.Lexicon;
import org.sallowbrook.core.planning.Likeness;
import org.springframework.stereotype.Component;

/** Hears by what {@link LearnComplaints} learnt when the application was built. */
@Component
public class LearntLikeness implements Likeness {

    private final EnglishWords english;
    private final DoccatModel model;

    /** Words of the complaints learnt from, and what they are bent from. */
    private final Set<String> heard;

    public LearntLikeness(EnglishWords english) throws IOException {
        this.english = english;
        this.model = LearnComplaints.learnt();
        this.heard = LearnComplaints.heard(english);
    }

    @Override
    public Optional<Heard> hear(String words, Set<String> notions) {
        // A word nobody has said yet says nothing: its letters are like another's by chance. What is no word may be a
        // slip.
        List<String> telling = Lexicon.tokens(words).stream()
                .filter(w ->
                        !english.test(w) || LearnComplaints.bases(w, english).anyMatch(heard::contains))
                .toList();
        long said = weighty(Lexicon.tokens(words));
        long known = weighty(telling);
        // Of words that were mostly never said before nobody knows what they are like.
        if (known * 2 < said || known == 0 && notions.isEmpty()) {
            return Optional.empty();
        }
        Map<String, Double> score = new DocumentCategorizerME(model).scoreMap(ComplaintFeatures.said(telling, notions));
        return Optional.of(new Heard(score.get("NOW"), score.get("TODAY"), score.get("SOON")));
    }

    private static long weighty(List<String> words) {
        return words.stream().filter(w -> !Lexicon.weightless(w)).count();
    }
}
