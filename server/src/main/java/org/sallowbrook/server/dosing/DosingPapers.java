package org.sallowbrook.server.dosing;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.documents.Sheet;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is given along or hung on the wall. */
@RestController
@RequestMapping("/api/dosing")
class DosingPapers {

    private final DoseCard card;
    private final HelpSheet help;
    private final PersonSheet person;

    DosingPapers(DoseCard card, HelpSheet help, PersonSheet person) {
        this.person = person;
        this.card = card;
        this.help = help;
    }

    @GetMapping("/courses/{id}/card")
    Sheet card(@PathVariable UUID id) {
        return card.of(id);
    }

    @GetMapping(value = "/courses/{id}/card.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> cardOnPaper(@PathVariable UUID id) {
        return Paper.response(card.of(id), "dose-card");
    }

    /** All that is on record of one person, for a doctor. */
    @GetMapping(value = "/people/{id}/records.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> recordsOnPaper(@PathVariable UUID id) {
        return Paper.response(person.of(id), "records");
    }

    @GetMapping(value = "/help.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> helpOnPaper(@RequestParam(required = false) @Nullable UUID person) {
        return Paper.response(help.of(person), "something-is-wrong");
    }
}
