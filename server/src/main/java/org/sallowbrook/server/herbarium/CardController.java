package org.sallowbrook.server.herbarium;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.herbarium.OwnCardService.CardView;
import org.sallowbrook.server.herbarium.OwnCardService.CheckRequest;
import org.sallowbrook.server.herbarium.OwnCardService.CheckView;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Cards as written: read, changed, exported, and figures ticked. */
@RestController
@RequestMapping("/api/herbarium")
class CardController {

    static final String YAML = "application/yaml";

    private final OwnCardService cards;

    CardController(OwnCardService cards) {
        this.cards = cards;
    }

    @GetMapping("/taxa/{id}/card")
    CardView card(@PathVariable String id) {
        return cards.card(id);
    }

    @PutMapping("/taxa/{id}/card")
    CardView save(
            @PathVariable String id,
            @RequestBody CardFile card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return cards.save(id, card, ifMatch);
    }

    @DeleteMapping("/taxa/{id}/card")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discard(
            @PathVariable String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        cards.discard(id, ifMatch);
    }

    @GetMapping(path = "/taxa/{id}/card.yaml", produces = YAML)
    String yaml(@PathVariable String id) {
        return cards.yaml(id);
    }

    @GetMapping(path = "/own-cards.yaml", produces = YAML)
    String exported() {
        return cards.exported();
    }

    /** A card somebody wrote or was given. */
    @PostMapping(path = "/own-cards", consumes = YAML)
    CardView read(
            @RequestBody String yaml,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return cards.save(yaml, ifMatch);
    }

    @GetMapping("/taxa/{id}/checks")
    List<CheckView> checks(@PathVariable String id) {
        return cards.checks(id);
    }

    @PostMapping("/taxa/{id}/checks")
    CheckView check(@PathVariable String id, @RequestBody CheckRequest request) {
        return cards.check(id, request);
    }

    @DeleteMapping("/taxa/{id}/checks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void uncheck(@PathVariable String id, @RequestParam String figure) {
        cards.uncheck(id, figure);
    }
}
