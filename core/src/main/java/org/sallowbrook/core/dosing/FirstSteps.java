package org.sallowbrook.core.dosing;

import java.util.List;

/**
 * What to do when something is wrong with somebody: the usual first steps of poison centres and of basic life support. What the
 * people say who are called goes before all of it.
 */
public final class FirstSteps {

    /** @param first what is read first; empty where the words say it @param points one by one; none where the words say it */
    public record Step(String title, String first, String words, List<String> points) {}

    public static final Step STOP = new Step(
            "Stop",
            "No more of any plant or home-made product.",
            "Prescribed medicines go on unless a doctor says otherwise.",
            List.of());

    public static final Step CALL = new Step(
            "Call",
            "A wrong plant possible, or a child ate of it: call the poison centre now, also when well.",
            "Some of the worst are silent for hours, or for days.",
            List.of());

    public static final Step SAY = new Step(
            "Say, and keep",
            "",
            "Who it is, how old and how heavy; what was taken or touched, how much, when; what is seen now; what else they take."
                    + " Keep the plant, the bottle or jar, and what was vomited, and take them along.",
            List.of());

    public static final Step UNTIL_HELP_COMES = new Step(
            "Until help comes",
            "",
            "",
            List.of(
                    "Unconscious and breathing: on the side, head low, and watch the breath.",
                    "Not breathing: call, then press the chest hard and fast in the middle, without a pause.",
                    "Something in the mouth: out with it, and rinse. In an eye: rinse with water for 15 minutes.",
                    "On the skin: clothes off, wash with soap and much water, keep out of the sun.",
                    "Nothing by mouth, no milk, no salt water, no charcoal, and no vomiting unless the poison centre says so."));

    public static final List<Step> ALL = List.of(STOP, CALL, SAY, UNTIL_HELP_COMES);

    /** Where a household has not said whom to call. */
    public static final String NUMBERS =
            "Every country has both. The emergency call is 112 in most of Europe, 999 in Britain, 911 in North America; set"
                    + " yours now, before it is needed.";

    public static final String NO_SUBSTITUTE =
            "These are the usual first steps and no substitute for the people you call; what they say goes before anything"
                    + " written here.";

    private FirstSteps() {}
}
