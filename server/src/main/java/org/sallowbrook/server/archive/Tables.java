package org.sallowbrook.server.archive;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Which tables an archive holds, each before those that refer to it, and which of a household's it leaves out. */
final class Tables {

    /**
     * @param of where it bears no household itself: the column that leads to what does, and that table
     * @param left columns that stay behind
     * @param picture whether each row has a picture, which is a file of its own in column "jpeg"
     * @param house whether it holds for the whole house: it comes only where nothing is yet, for it would change what is here
     * @param label what one is called on the page, as SQL over its row; null where nobody would know one by its name
     */
    record Table(
            String name,
            String words,
            @Nullable Of of,
            Set<String> left,
            boolean picture,
            boolean house,
            @Nullable String label) {

        /** Whose it is, as a condition with one parameter. */
        String mine() {
            return of == null
                    ? "household_id = ?"
                    : of.column() + " in (select id from " + of.table() + " where household_id = ?)";
        }

        Table without(String... columns) {
            return new Table(name, words, of, Set.of(columns), picture, house, label);
        }
    }

    record Of(String column, String table) {}

    static final Table ACCOUNTS = table("account", "accounts").without("password_hash", "reset_hash", "reset_until");

    static final List<Table> ALL = List.of(
            ACCOUNTS,
            named("person", "people", "name"),
            table("vessel", "vessels"),
            house("second_observer", "second observers"),
            named("own_card", "cards of your own", "taxon_id"),
            house("figure_check", "figures looked up"),
            house("household_school", "ways of this house"),
            house("year_means", "means for a year"),
            table("code_counter", "numbers given out"),
            table("character_skill", "what was practised"),
            table("training_box", "plants practised"),
            table("weather_day", "days of weather"),
            named("ground_shape", "shapes on the ground", "name"),
            named("stand", "stands", "name || ', ' || place"),
            table("stand_identification", "looks"),
            table("tag", "tags"),
            picture("photo", "pictures of stands"),
            table("sighting", "sightings"),
            table("stand_count", "counts of stands"),
            table("stand_bears", "what stands bear"),
            named("harvest", "harvests", "code"),
            table("past_harvest", "harvests of past years"),
            table("drying_run", "drying runs"),
            table("weighing", "weighings"),
            table("dry_test", "tests by hand"),
            named("lot", "jars, bottles and what is in work", "name || ' ' || code"),
            of("lot_herb", "herbs in them", "lot_id", "lot"),
            of("lot_trait", "what they have in them", "lot_id", "lot"),
            table("lot_link", "what was poured into what"),
            table("lot_change", "lines of their books"),
            table("batch", "batches"),
            table("batch_step", "steps done"),
            table("shake", "shakes"),
            table("cold_spoon", "cold spoons"),
            table("pan_weighing", "pans weighed"),
            house("house_measure", "spoons and cups weighed"),
            named("course", "courses", "coalesce(purpose, 'a course') || ' from ' || start_on"),
            table("asked_after", "questions asked"),
            table("diary", "diaries"),
            table("diary_day", "days of diaries"),
            table("dose_taken", "doses"),
            table("direct_use", "plants used as they are"),
            table("plant_trial", "first trials"),
            table("contact", "touches"),
            table("professional_answer", "answers of doctors and pharmacists"),
            table("reaction", "reactions"),
            named("wish", "wishes", "words"),
            of("wish_herb", "herbs of wishes", "wish_id", "wish"),
            table("planned_pick", "planned harvests"),
            table("planned_wish", "wishes planned"),
            named("note", "notes", "to_char(on_day, 'YYYY-MM-DD') || ' ' || left(words, 60)"),
            picture("note_picture", "pictures of notes"),
            table("loosened", "safeguards taken back"),
            table("audit_entry", "what was acknowledged"));

    /**
     * Of a household too, and of no use elsewhere: secret addresses and words given for ten minutes, which must not be copied,
     * what devices have sent, what lies on the simulated scale, how often something changed, which lines of a list brought what.
     */
    static final List<String> OF_THIS_SERVER = List.of(
            "calendar_feed",
            "countersignature",
            "received",
            "scale_placement",
            "household_change",
            "taken_line",
            "taken_list");

    private Tables() {}

    private static Table table(String name, String words) {
        return new Table(name, words, null, Set.of(), false, false, null);
    }

    private static Table house(String name, String words) {
        return new Table(name, words, null, Set.of(), false, true, null);
    }

    private static Table named(String name, String words, String label) {
        return new Table(name, words, null, Set.of(), false, false, label);
    }

    private static Table of(String name, String words, String column, String table) {
        return new Table(name, words, new Of(column, table), Set.of(), false, false, null);
    }

    private static Table picture(String name, String words) {
        return new Table(name, words, null, Set.of("jpeg"), true, false, null);
    }
}
