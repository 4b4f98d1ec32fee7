package org.sallowbrook.core.household;

import org.jspecify.annotations.Nullable;

/**
 * One side of a {@link Question}, with its reasons. Where a school is riskier it says how; the safer is the default. What a
 * school means in figures is kept by the room that reckons with it.
 */
public enum School {
    WEIGHT_TO_VOLUME(Question.MEASURING, true, "weigh and measure", "The strength and the dose can be reckoned.", null),
    FILL_AND_COVER(
            Question.MEASURING,
            false,
            "fill the jar and cover",
            "Needs no scale and makes full use of a jar.",
            "The strength of the result is known only roughly, so its dose is too."),
    PERCOLATION(
            Question.MEASURING,
            false,
            "percolate",
            "Done in two days, and draws a dry powder more fully.",
            "Powdering raises dust, and much strong spirit stands open."),

    MATCHED(
            Question.SPIRIT_STRENGTH,
            true,
            "matched to the plant",
            "Resins want strong spirit, tannins and bitters middling, mucilage hardly any.",
            null),
    STRONGEST(
            Question.SPIRIT_STRENGTH,
            false,
            "the strongest to hand",
            "Never spoils, whatever water the plant brings.",
            "Burns the mouth, catches fire easily, and draws little from plants whose virtue is in water."),
    TABLE_SPIRIT(
            Question.SPIRIT_STRENGTH,
            false,
            "table spirit for all",
            "Easy to get and drinkable as it is.",
            "With fresh, juicy plants it may end too weak to keep."),

    EITHER_BY_PLANT(
            Question.PLANT_STATE, true, "either, by the plant", "Some lose what matters in drying, some gain.", null),
    FRESH_PLANT(
            Question.PLANT_STATE,
            false,
            "fresh",
            "What flies off in drying is kept.",
            "Its water thins the spirit, and the strength becomes an interval."),
    DRIED_PLANT(Question.PLANT_STATE, false, "dried", "Ratio and strength come out as reckoned.", null),

    ADDED_LIQUID_ONLY(
            Question.FRESH_RATIO, true, "only the liquid added", "More spirit, so a tincture that keeps.", null),
    PLANT_WATER_COUNTS(
            Question.FRESH_RATIO,
            false,
            "the plant's water too",
            "Fresh and dried tinctures of one ratio are alike in herb.",
            "Less spirit goes in, so the end is weaker; look at the final strength."),

    PRESS_MEDIUM(Question.PRESSING, true, "after four weeks", "Most of what dissolves has, by then.", null),
    PRESS_EARLY(
            Question.PRESSING, false, "after two weeks", "Most is out within days, and the jar is free again.", null),
    PRESS_LONG(Question.PRESSING, false, "after six weeks", "Bark, root and resin give slowly.", null),
    LEAVE_ON_HERB(
            Question.PRESSING,
            false,
            "left on the herb",
            "No work, and taken as it is needed.",
            "Herb above the liquid can mould, and the strength goes on changing."),

    CAUTIOUS_LIFE(Question.KEEPING_TINCTURE, true, "three years", "Nobody has measured most of them.", null),
    LONG_LIFE(
            Question.KEEPING_TINCTURE,
            false,
            "five years, sealed",
            "Strong spirit keeps.",
            "Some constituents fade long before the spirit spoils."),

    DRIED_IN_OIL(
            Question.OIL_HERB, true, "dried only", "Water in oil spoils it and can let botulism grow unseen.", null),
    WILTED_IN_OIL(
            Question.OIL_HERB,
            false,
            "wilted a day",
            "Some flowers give their colour only when fresh.",
            "Brings water. For the skin only, parted from its water, cold, two weeks."),
    FRESH_IN_OIL(
            Question.OIL_HERB,
            false,
            "fresh",
            "The scent of the living plant.",
            "Brings much water. For the skin only, parted from its water, cold, two weeks."),

    COLD_DARK_OIL(Question.OIL_METHOD, true, "cold and dark", "Oil keeps best away from light and warmth.", null),
    SUN_OIL(
            Question.OIL_METHOD,
            false,
            "in the sun",
            "Gentle warmth without a stove, as it was always done with red flowers.",
            "Light and warmth turn oil rancid sooner; its life is shortened."),
    WARM_OIL(
            Question.OIL_METHOD,
            false,
            "warm, for hours",
            "Ready the same day.",
            "Hot oil burns; watch the thermometer."),

    LONG_OIL(Question.OIL_TIME, true, "six weeks cold, twelve hours warm", "Draws more.", null),
    SHORT_OIL(Question.OIL_TIME, false, "two weeks cold, four hours warm", "Less time in which oil can turn.", null),

    SIMMER(
            Question.TOUGH_TEA,
            true,
            "simmer",
            "Tough cells open only in boiling water, and boiling kills germs.",
            null),
    LONG_WARM(
            Question.TOUGH_TEA,
            false,
            "a long warm infusion",
            "Spares what boiling drives off.",
            "Stands warm for hours, so it must be drunk or chilled at once."),

    STEEP_MEDIUM(Question.STEEPING, true, "ten minutes", "What most monographs give.", null),
    STEEP_SHORT(Question.STEEPING, false, "five minutes", "Less bitter and less tannin.", null),
    STEEP_LONG(
            Question.STEEPING,
            false,
            "fifteen minutes and more",
            "Draws more.",
            "More tannin and bitter; not on an inflamed stomach."),

    SCREEN(Question.DRYING, true, "on a screen, one layer", "Air from both sides, and any mould is seen.", null),
    HANG(
            Question.DRYING,
            false,
            "in bundles",
            "Needs no room but a hook.",
            "A thick bundle moulds at the tie, unseen."),
    DEHYDRATOR(
            Question.DRYING, false, "in a dehydrator", "Sure in damp weather.", "Too hot, it drives off what matters."),

    BRUSH(Question.WASHING, true, "shaken and brushed", "Wet herb moulds; most dirt falls off.", null),
    WASH(
            Question.WASHING,
            false,
            "washed",
            "Roots, and anything from under a dirty road or a flood line.",
            "Adds water that has to be dried off again."),

    STRIP_AFTER(Question.STRIPPING, true, "after drying", "The stem shows when it is dry: it snaps.", null),
    STRIP_BEFORE(Question.STRIPPING, false, "before drying", "Dries faster and bruises more.", null),

    FRUIT_BEFORE_FROST(Question.FRUIT_AND_FROST, true, "before the frost", "Firm, clean and full of acid.", null),
    FRUIT_AFTER_FROST(Question.FRUIT_AND_FROST, false, "after the first frost", "Softer and sweeter.", null),
    FRUIT_AFTER_FREEZING(
            Question.FRUIT_AND_FROST,
            false,
            "after repeated freezing",
            "Sweetest of all.",
            "Broken skins ferment and mould."),

    PLENTIFUL_ONLY(Question.HOW_MUCH, true, "only from plentiful stands", "A small stand does not come back.", null),
    FIXED_SHARE(
            Question.HOW_MUCH,
            false,
            "a fixed share",
            "Simple to keep to.",
            "The same share that a large stand bears can end a small one."),
    LIGHT_THINNING(Question.HOW_MUCH, false, "a light thinning", "Leaves more room to those that stay.", null),

    PULSED(
            Question.DOSE_STYLE,
            false,
            "on and off",
            "Days without show whether it still helps, and give the body rest.",
            null),
    CONTINUOUS(Question.DOSE_STYLE, true, "every day", "Simple to remember, and what monographs speak of.", null),
    AS_NEEDED(
            Question.DOSE_STYLE,
            false,
            "as needed",
            "The least that does.",
            "Easily more than was meant; keep to the least interval."),

    SMALL_DOSE(Question.DOSE_SIZE, true, "the card's low end", "Start low.", null),
    MODERATE_DOSE(Question.DOSE_SIZE, false, "the middle of the card's range", "What trials mostly used.", null),

    REFER_CHILD(
            Question.CHILD_DOSE,
            true,
            "not without a professional",
            "A child is not a small adult, and few plants were ever studied in children.",
            null),
    CHILD_BY_WEIGHT(
            Question.CHILD_DOSE,
            false,
            "by weight (Clark)",
            "Weight is what spreads a dose.",
            "Only a rule of thumb; the card's own age always comes first."),
    CHILD_BY_AGE(
            Question.CHILD_DOSE,
            false,
            "by age (Young, Cowling)",
            "Age is always known.",
            "Only a rule of thumb; children of one age differ twofold in weight."),
    CHILD_BY_SURFACE(
            Question.CHILD_DOSE,
            false,
            "by body surface",
            "Follows how fast a body works things off.",
            "Only a rule of thumb, and gives more than the others to small children."),

    EITHER_SEX(Question.SEXES, true, "either", "For most plants nothing is known to differ.", null),
    FEMALE_ONLY(Question.SEXES, false, "female only", "Where the fruit or cone is what is used.", null),

    CURRENT_NAMES(
            Question.NAMES, true, "the names current now", "One plant, one name; older ones are still found.", null),
    BOOK_NAMES(
            Question.NAMES,
            false,
            "as in the household's book",
            "The name in the book on the shelf.",
            "An older name may stand for another plant in another book.");

    private final Question question;
    private final boolean isDefault;
    private final String words;
    private final String reason;
    private final @Nullable String risk;

    School(Question question, boolean isDefault, String words, String reason, @Nullable String risk) {
        this.question = question;
        this.isDefault = isDefault;
        this.words = words;
        this.reason = reason;
        this.risk = risk;
    }

    /** Whether choosing it changes something the household can see. */
    public boolean offered() {
        // Waits for a course without fixed days.
        return question.offered() && this != AS_NEEDED;
    }

    public Question question() {
        return question;
    }

    public boolean isDefault() {
        return isDefault;
    }

    public String words() {
        return words;
    }

    /** Why people hold to it. */
    public String reason() {
        return reason;
    }

    /** How it is riskier than the default; null when it is not. */
    public @Nullable String risk() {
        return risk;
    }
}
