package org.sallowbrook.core.shelf;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/** Names of liquids that are never for the body, or not for the mouth, whatever else is said of them. */
public final class PoisonWords {

    private static final Pattern NEVER = any(
            "methanol",
            "methyl alcohol",
            "wood alcohol",
            "wood spirit",
            "isopropanol",
            "isopropyl",
            "propanol",
            "white spirit",
            "mineral spirit",
            "antifreeze",
            "coolant",
            "glycol",
            "turpentine",
            "turps",
            "petrol",
            "gasoline",
            "kerosene",
            "paraffin oil lamp",
            "lamp oil",
            "paraffin lamp",
            "lamp paraffin",
            "lighter fluid",
            "paint thinner",
            "thinner",
            "acetone",
            "de icer",
            "deicer",
            "screen wash",
            "windscreen",
            "fuel",
            "bioethanol",
            "motor oil",
            "engine oil",
            "brake fluid",
            "bleach",
            "ammonia",
            "benzine",
            "naphtha");

    /** Ethyl alcohol made undrinkable. */
    private static final Pattern DENATURED = any(
            "methylated",
            "meths",
            "denatured",
            "rubbing alcohol",
            "rubbing spirit",
            "surgical spirit",
            "surgical alcohol",
            "burning spirit",
            "hand sanitiser",
            "hand sanitizer",
            "disinfectant",
            "cleaning alcohol",
            "bath spirit",
            "vergallt",
            "brennspiritus");

    private static final Pattern NO_CARRIER =
            any("essential", "lamp", "paraffin", "mineral oil", "baby oil", "scented");

    private PoisonWords() {}

    private static Pattern any(String... names) {
        return Pattern.compile(
                "(?<![a-z])(" + String.join("|", List.of(names)).replace(" ", "[\\s-]*") + ")",
                Pattern.CASE_INSENSITIVE);
    }

    /**
     * @param form of what is called so
     * @param denatured whether it is said to be
     * @return what is wrong with the name, as it stands at its field; empty where nothing is
     */
    public static Optional<String> wrong(LotForm form, @Nullable String name, boolean denatured) {
        String plain = Normalizer.normalize(String.valueOf(name), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
        if (NEVER.matcher(plain).find()) {
            return Optional.of("is a liquid that is never for the body, inside or out; it has no place among supplies");
        }
        if (!denatured && DENATURED.matcher(plain).find()) {
            return Optional.of(
                    form == LotForm.SPIRIT
                            ? "is spirit made undrinkable: say that it is denatured, and it stays outside of the body"
                            : "is spirit made undrinkable, which is never swallowed");
        }
        if (form == LotForm.CARRIER_OIL && NO_CARRIER.matcher(plain).find()) {
            return Optional.of("is no oil to steep herbs in: essential oils are entered drop by drop at the bench, and"
                    + " mineral oils are never for the body");
        }
        return Optional.empty();
    }

    /**
     * For a liquid that is only reckoned with and lies on no shelf.
     *
     * @return the name as given
     * @throws org.sallowbrook.core.measure.InvalidInput at the field, where something is wrong with the name
     */
    public static String checked(LotForm form, String field, String name) {
        Optional<String> wrong = wrong(form, name, false);
        Checks.begin().that(wrong.isEmpty(), field, wrong.orElse("")).done();
        return name;
    }
}
