package org.sallowbrook.core.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.field.Contacts.Reaction;
import org.sallowbrook.core.measure.Finding;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ContactsTest {

    @DataProvider
    public Object[][] histories() {
        return new Object[][] {
            {List.of(), List.of()},
            {List.of(Reaction.NONE, Reaction.NONE), List.of()},
            {List.of(Reaction.NONE, Reaction.ITCH), List.of("REACTED")},
            {List.of(Reaction.RASH, Reaction.ITCH), List.of("REACTED")},
            {List.of(Reaction.ITCH, Reaction.NONE, Reaction.RASH), List.of("SENSITISED")},
            // What was worse once is not made good by a lighter time after it.
            {List.of(Reaction.ITCH, Reaction.BLISTERS, Reaction.ITCH), List.of("SENSITISED")},
            {List.of(Reaction.BREATH, Reaction.ITCH), List.of("NEVER_AGAIN")},
        };
    }

    @Test(dataProvider = "histories")
    public void eachMeetingSaysSomethingOfTheNext(List<Reaction> reactions, List<String> codes) {
        List<Contacts.Contact> contacts = new ArrayList<>();
        for (Reaction reaction : reactions) {
            contacts.add(0, new Contacts.Contact(LocalDate.of(2026, 1, 1).plusDays(contacts.size()), reaction));
        }
        assertThat(Contacts.check("Tam", "giant hogweed", contacts))
                .extracting(Finding::code)
                .containsExactlyElementsOf(codes);
    }
}
