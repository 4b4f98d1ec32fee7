package org.sallowbrook.server.identification;

import java.util.List;
import java.util.stream.Collectors;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.server.documents.Sheet;

/** A look to fill in outside with a pencil, in the order in which it is asked; what it says is reckoned at home. */
final class LookSheet {

    /** So many are looked at before anybody tires; a few of them decide. */
    private static final int MOST = 30;

    private LookSheet() {}

    static Sheet of(Herbarium all, List<String> order, LifeStage stage) {
        Sheet.Builder sheet = Sheet.a4("A look, " + stage.words());
        sheet.text("Place ______________________  Day ______________  By ______________________")
                .text(
                        "This names no plant. Pick nothing until it was typed in and says that it is certain.",
                        Sheet.Tone.GRAVE)
                .text(
                        "Tick what you see on the plant itself. Two ticks where it shows both. Leave open what you can't see; write"
                                + " beside it what fits nothing. Wear gloves; taste nothing.");
        int number = 1;
        for (String id : order.stream().limit(MOST).toList()) {
            CharacterDefinition c = all.character(id);
            if (c != null) {
                sheet.heading(number++ + ". " + c.name())
                        .text(c.howToLook(), Sheet.Tone.SOFT)
                        .text(c.states().stream()
                                .map(s -> Sheet.OPEN + s.words())
                                .collect(Collectors.joining("    ")));
            }
        }
        return sheet.done();
    }
}
