package org.sallowbrook.core.herbarium;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Names of grave illness, wherever somebody writes them: in the name of a use, a course, a product or a note they are read as
 * a claim, and nothing is built on it. The list is this tool's own and wide on purpose.
 */
public final class GraveWords {

    /** Beginnings of words, in plain letters; a space stands for any distance of blanks and dashes. */
    private static final List<String> NAMES = List.of(
            "cancer",
            "carcinoma",
            "tumour",
            "tumor",
            "leukaemia",
            "leukemia",
            "lymphoma",
            "melanoma",
            "sarcoma",
            "metasta",
            "chemotherapy",
            "diabet",
            "insulin",
            "blood sugar",
            "stroke",
            "heart attack",
            "heart failure",
            "heart disease",
            "cardiac",
            "coronary",
            "angina",
            "arrhythmia",
            "atrial fibrillation",
            "high blood pressure",
            "hypertension",
            "thrombosis",
            "embolism",
            "blood clot",
            "aneurysm",
            "epileps",
            "seizure",
            "convulsion",
            "sepsis",
            "blood poisoning",
            "infected wound",
            "wound infection",
            "gangrene",
            "tetanus",
            "rabies",
            "meningitis",
            "encephalitis",
            "pneumonia",
            "tuberculosis",
            "hepatitis",
            "cirrhosis",
            "jaundice",
            "hiv",
            "syphilis",
            "gonorrh",
            "chlamydia",
            "malaria",
            "lyme",
            "borreli",
            "diphtheria",
            "scarlet fever",
            "kidney failure",
            "renal failure",
            "kidney infection",
            "multiple sclerosis",
            "parkinson",
            "alzheimer",
            "dementia",
            "schizophren",
            "psychosis",
            "psychotic",
            "bipolar",
            "suicid",
            "anorexia nervosa",
            "major depression",
            "severe depression",
            "appendicitis",
            "bowel obstruction",
            "crohn",
            "ulcerative colitis",
            "pancreatitis",
            "peritonitis",
            "miscarriage",
            "abortion",
            "abortifacient",
            "preeclampsia",
            "pre eclampsia",
            "eclampsia",
            "ectopic",
            "anaphyla",
            "asthma attack",
            "status asthmaticus",
            "glaucoma",
            "retinal detachment",
            "cataract",
            "lupus",
            "rheumatoid arthritis",
            "addison",
            "thyroid storm",
            "hyperthyroid",
            "hypothyroid",
            "addiction to opioids",
            "covid",
            "poisoning",
            "antidote",
            "snake bite",
            "snakebite");

    private static final Pattern ANY =
            Pattern.compile("(?<![a-z])(" + String.join("|", NAMES).replace(" ", "[\\s-]+") + ")[a-z]*");

    private GraveWords() {}

    /** What stands at the field in which a grave illness was named. */
    public static String refused(String word) {
        return "names a grave illness (" + word
                + "); nothing is built on such a claim: see a doctor, and call it by what is" + " in it";
    }

    /** @return the word that names a grave illness; empty where there is none */
    public static Optional<String> in(String text) {
        String plain = Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
        return ANY.matcher(plain).results().map(r -> r.group().strip()).findFirst();
    }
}
