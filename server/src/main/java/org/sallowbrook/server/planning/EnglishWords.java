package org.sallowbrook.server.planning;

import java.io.IOException;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import morfologik.stemming.Dictionary;
import morfologik.stemming.DictionaryLookup;
import org.springframework.stereotype.Component;

/** English words in their bent forms, from the dictionary of the LanguageTool project. */
@Component
public class EnglishWords implements Predicate<String> {

    private final Dictionary dictionary;

    public EnglishWords() throws IOException {
        dictionary = Dictionary.read(EnglishWords.class.getResource("/org/languagetool/resource/en/english.dict"));
    }

    /** @param word in small letters */
    @Override
    public boolean test(String word) {
        return bases(word).findAny().isPresent();
    }

    /** What it is bent from: "felt" from feel and from felt. */
    public Stream<String> bases(String word) {
        // A lookup keeps what it last found and is not for two threads.
        return List.copyOf(new DictionaryLookup(dictionary).lookup(word)).stream()
                .map(data -> String.valueOf(data.getStem()))
                .distinct();
    }
}
