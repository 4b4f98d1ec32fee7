package org.sallowbrook.core.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * Best-before: the earliest of the form's own life, the inputs' limits and the life once opened. Lives are the working
 * figures of this tool for household storage, in calendar months, in whole days for short-lived things; light, warmth and
 * air shorten them.
 */
public final class Keeping {

    /** The cautious school's life of a pressed, sealed tincture. */
    public static final int PRESSED_TINCTURE_MONTHS = 36;

    /** The long school's. */
    public static final int SEALED_TINCTURE_MONTHS = 60;

    private static final double WARM_ABOVE_C = 25;
    private static final double MUCH_AIR = 0.5;

    /** As warm as a household refrigerator may be; general food hygiene asks for 5 to 8 °C. */
    private static final double COLD_C = 8;

    private enum Inputs {
        CARRY,
        DO_NOT
    }

    private enum Cold {
        ONLY,
        NEED_NOT
    }

    /** What is kept, with its life closed and, where it differs, once opened. */
    public enum Form {
        LEAF(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        FLOWER(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        HERB(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        AROMATIC_LEAF(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        ROOT(24, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        BARK(24, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        SEED(24, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        DRIED_FRUIT(24, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        POWDER(6, 0, null, Inputs.CARRY, Cold.NEED_NOT),
        TEA_MIXTURE(12, 0, null, Inputs.CARRY, Cold.NEED_NOT),
        FROZEN(6, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        SALTED(6, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        TINCTURE_ON_HERB(60, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        TINCTURE(PRESSED_TINCTURE_MONTHS, 0, 12, Inputs.DO_NOT, Cold.NEED_NOT),
        MIXTURE(PRESSED_TINCTURE_MONTHS, 0, 12, Inputs.CARRY, Cold.NEED_NOT),
        GLYCERITE(24, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        VINEGAR(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        HONEY(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        OXYMEL(12, 0, null, Inputs.DO_NOT, Cold.NEED_NOT),
        HERBAL_WINE(1, 0, null, Inputs.DO_NOT, Cold.ONLY),
        CREAM(0, 7, null, Inputs.CARRY, Cold.ONLY),
        EATEN_OIL(0, 7, null, Inputs.DO_NOT, Cold.ONLY),
        INFUSED_OIL(12, 0, 6, Inputs.CARRY, Cold.NEED_NOT),
        SALVE(12, 0, null, Inputs.CARRY, Cold.NEED_NOT),
        SYRUP(3, 0, null, Inputs.DO_NOT, Cold.ONLY),
        TEA(0, 1, null, Inputs.DO_NOT, Cold.ONLY),
        DECOCTION(0, 1, null, Inputs.DO_NOT, Cold.ONLY),
        COLD_MACERATE(0, 0, null, Inputs.DO_NOT, Cold.ONLY);

        private final int months;
        private final int days;
        private final @Nullable Integer openedMonths;
        private final Inputs inputs;
        private final Cold cold;

        /** What a dried part is kept as. */
        public static Form dried(Taxon.Part part, boolean aromatic) {
            return switch (part) {
                case ROOT -> ROOT;
                case BARK -> BARK;
                case FLOWER, FLOWER_HEAD -> FLOWER;
                case LEAF -> aromatic ? AROMATIC_LEAF : LEAF;
                case TOPS, HERB, SHOOT, THALLUS, FRUIT_BODY -> HERB;
                case FRUIT -> DRIED_FRUIT;
                case SEED -> SEED;
            };
        }

        Form(int months, int days, @Nullable Integer openedMonths, Inputs inputs, Cold cold) {
            this.months = months;
            this.days = days;
            this.openedMonths = openedMonths;
            this.inputs = inputs;
            this.cold = cold;
        }

        /** Whether an input's date carries over: oil goes rancid whatever is made of it, and herb in a mixture is no younger. */
        public boolean carriesInputs() {
            return inputs == Inputs.CARRY;
        }

        /** Whether it keeps in the refrigerator only: germs grow in what is moist and neither strong, sour nor sweet enough. */
        boolean coldOnly() {
            return cold == Cold.ONLY;
        }

        boolean isShort() {
            return months == 0;
        }
    }

    public enum Light {
        DARK,
        DIM,
        BRIGHT
    }

    /** @param headspaceFraction of the vessel that is air, 0..1 */
    public record Storage(Light light, double temperatureC, double headspaceFraction) {
        public Storage {
            Checks.begin()
                    .range("storage.temperatureC", temperatureC, -40, 60)
                    .range("storage.headspaceFraction", headspaceFraction, 0, 1)
                    .done();
        }
    }

    public record Input(String name, LocalDate bestBefore) {}

    /**
     * @param openedOn null while closed
     * @param storage null for the usual: dark, cool, full
     * @param planDays a life that the plan found shorter than the form's own, as of a weak tincture; null for none
     * @param schools decide between the lives of a pressed tincture
     */
    public record Request(
            Form form,
            LocalDate madeOn,
            @Nullable LocalDate openedOn,
            @Nullable Storage storage,
            List<Input> inputs,
            @Nullable Integer planDays,
            Schools schools) {
        public Request {
            Checks.begin()
                    .that(planDays == null || planDays >= 0, "planDays", "must be at least 0")
                    .that(openedOn == null || !openedOn.isBefore(madeOn), "openedOn", "must not be before madeOn")
                    .done();
            inputs = List.copyOf(inputs);
        }

        public static Request of(Form form, LocalDate madeOn, List<Input> inputs) {
            return new Request(form, madeOn, null, null, inputs, null, Schools.USUAL);
        }
    }

    public record Result(LocalDate bestBefore, List<String> because, List<Finding> findings) {}

    private Keeping() {}

    public static Result reckon(Request request) {
        List<String> because = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        double factor = factor(request.storage(), because, findings);
        Form form = request.form();
        int months = months(request);
        LocalDate best = after(request.madeOn(), months, form.days, factor);
        because.add(
                form.isShort()
                        ? shortLife(form, best)
                        : "Its own life is " + months + " months from " + Words.day(request.madeOn()) + ": "
                                + Words.day(best) + ".");
        if (request.planDays() != null) {
            LocalDate planned = request.madeOn().plusDays(request.planDays());
            because.add("By its plan it keeps " + request.planDays() + " days: " + planned + ".");
            best = earlier(best, planned);
        }
        if (form.carriesInputs()) {
            for (Input input : request.inputs()) {
                because.add(input.name() + " is good until " + Words.day(input.bestBefore()) + ".");
                best = earlier(best, input.bestBefore());
            }
        }
        if (request.openedOn() != null && form.openedMonths != null) {
            LocalDate opened = after(request.openedOn(), form.openedMonths, 0, factor);
            because.add("Opened on " + Words.day(request.openedOn()) + " it keeps " + form.openedMonths + " months: "
                    + Words.day(opened) + ".");
            best = earlier(best, opened);
        }
        Storage storage = request.storage();
        if (storage != null && form.coldOnly() && storage.temperatureC() > COLD_C) {
            best = earlier(best, request.madeOn());
            because.add("It keeps cold only; at " + Words.figure(storage.temperatureC()) + " °C it is of the day: "
                    + Words.day(best) + ".");
            findings.add(Finding.stop(
                    "ONLY_COLD",
                    "At " + Words.figure(storage.temperatureC()) + " °C germs grow in it.",
                    "Keep it in the refrigerator, below " + Words.figure(COLD_C) + " °C, or throw away what is left of"
                            + " the day."));
        }
        because.add("The earliest counts: " + Words.day(best) + ".");
        return new Result(best, because, findings);
    }

    private static int months(Request request) {
        boolean sealed =
                request.form() == Form.TINCTURE && request.schools().of(Question.KEEPING_TINCTURE) == School.LONG_LIFE;
        return sealed ? SEALED_TINCTURE_MONTHS : request.form().months;
    }

    private static String shortLife(Form form, LocalDate best) {
        return switch (form) {
            case TEA, DECOCTION, COLD_MACERATE ->
                "A water preparation keeps 24 h cold and 4 h in the room, a cold macerate the same day: "
                        + Words.day(best) + ".";
            default -> "It keeps " + form.days + " days, cold: " + Words.day(best) + ".";
        };
    }

    /**
     * The day an ageing hold ends: bark and root that are too harsh fresh.
     *
     * @param ageingMonths of the card; null or 0 for none
     */
    public static LocalDate releasedOn(LocalDate driedOn, @Nullable Integer ageingMonths) {
        Checks.begin()
                .that(
                        ageingMonths == null || (ageingMonths >= 0 && ageingMonths <= 600),
                        "ageingMonths",
                        "must be from 0 to 600")
                .done();
        return ageingMonths == null ? driedOn : driedOn.plusMonths(ageingMonths);
    }

    private static double factor(@Nullable Storage storage, List<String> because, List<Finding> findings) {
        double factor = 1;
        if (storage == null) {
            return factor;
        }
        if (storage.light() == Light.BRIGHT) {
            factor *= 0.5;
            because.add("Bright light halves its life.");
            findings.add(Finding.note("KEPT_IN_LIGHT", "Light bleaches and turns it stale.", "Move it to the dark."));
        }
        if (storage.temperatureC() > WARM_ABOVE_C) {
            factor *= 0.75;
            because.add("Above " + Words.figure(WARM_ABOVE_C) + " °C it keeps three quarters as long.");
        }
        if (storage.headspaceFraction() > MUCH_AIR) {
            factor *= 0.75;
            because.add("More air than herb in the vessel takes another quarter.");
        }
        return factor;
    }

    /** Calendar months; a shortened life is counted in whole days, rounded down. */
    private static LocalDate after(LocalDate from, int months, int days, double factor) {
        LocalDate whole = from.plusMonths(months).plusDays(days);
        if (factor == 1) {
            return whole;
        }
        long span = whole.toEpochDay() - from.toEpochDay();
        return from.plusDays((long) Math.floor(span * factor));
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }
}
