package org.sallowbrook.core.making.tea;

import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.measure.Checks;

/**
 * Which way of making tea fits a material: soft parts are infused, tough ones simmered or steeped long and warm, mucilage
 * wants cold water, scent wants a lid.
 *
 * @param reason in words, for the reader
 */
public record MethodChoice(Tea.Method method, String reason) {

    private static final Set<String> SOFT =
            Set.of("LEAF", "FLOWER", "FLOWER_HEAD", "HERB", "TOPS", "SHOOT", "THALLUS", "SEED");
    private static final Set<String> TOUGH =
            Set.of("ROOT", "RHIZOME", "BARK", "WOOD", "FRUIT", "TOUGH_LEAF", "FRUIT_BODY");
    private static final Set<String> POWDER = Set.of("POWDER");
    private static final Set<String> MUCILAGE = Set.of("MUCILAGE");

    /** How the material is cut. */
    public enum Cut {
        WHOLE,
        CUT,
        POWDER
    }

    /** Every form a method is known for. */
    public static Set<String> forms() {
        Set<String> all = new TreeSet<>(SOFT);
        all.addAll(TOUGH);
        all.addAll(POWDER);
        all.addAll(MUCILAGE);
        return all;
    }

    static boolean knows(String form) {
        return forms().contains(form.toUpperCase(Locale.ROOT));
    }

    /**
     * @param form part or form, such as LEAF, ROOT, TOUGH_LEAF
     * @param tough the household's school for tough material
     * @throws org.sallowbrook.core.measure.InvalidInput for a form nobody has described
     */
    public static MethodChoice derive(String form, Cut cut, Set<Constituent> constituents, School tough) {
        Checks.begin()
                .that(knows(form), "form", "must be one of " + forms() + ", or give the method")
                .done();
        String f = form.toUpperCase(Locale.ROOT);
        String words = f.toLowerCase(Locale.ROOT).replace('_', ' ');
        // Scent does not come out cold: an aromatic flower with some mucilage, such as lime, is infused like its like.
        if (MUCILAGE.contains(f)
                || constituents.contains(Constituent.MUCILAGE) && !constituents.contains(Constituent.VOLATILE_OIL)) {
            return new MethodChoice(
                    Tea.Method.COLD_MACERATION, "mucilage comes out in cold water, and heat spoils it.");
        }
        if (POWDER.contains(f) || cut == Cut.POWDER) {
            return new MethodChoice(Tea.Method.INFUSION, "powder gives up what it has at once; steep it covered.");
        }
        if (TOUGH.contains(f)) {
            if (constituents.contains(Constituent.VOLATILE_OIL)) {
                return new MethodChoice(
                        Tea.Method.INFUSION,
                        words + " is tough but aromatic: boiling would drive its oil off, so crush it and steep it"
                                + " covered.");
            }
            return tough == School.LONG_WARM
                    ? new MethodChoice(Tea.Method.LONG_INFUSION, words + " is tough; steeped for hours, kept warm.")
                    : new MethodChoice(Tea.Method.DECOCTION, words + " is tough and must be simmered.");
        }
        return new MethodChoice(Tea.Method.INFUSION, words + " gives up what it has to hot water; steep it covered.");
    }
}
