package org.sallowbrook.server.tracing;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.dosing.TakenOfLots;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/tracing")
class TracingController {

    record DoubtRequest(String reason) {}

    private final TracingService tracing;
    private final ShelfService shelf;

    private final RecallSheet recall;
    private final Finding finding;

    private static final int MOST_LETTERS = 80;

    TracingController(TracingService tracing, ShelfService shelf, RecallSheet recall, Finding finding) {
        this.finding = finding;
        this.recall = recall;
        this.shelf = shelf;
        this.tracing = tracing;
    }

    record StartView(UUID id, Stage stage, LotForm form, String label) {}

    /** Where tracing can begin: at a stand, or at what is in hand. */
    @GetMapping("/starts")
    List<StartView> starts() {
        return Stream.concat(
                        shelf.stands().stream().map(s -> new StartView(s.id(), s.stage(), s.form(), s.name())),
                        shelf.there().stream()
                                .map(l -> new StartView(l.id(), l.stage(), l.form(), l.name() + " " + l.code())))
                .toList();
    }

    record FoundStartsView(List<StartView> starts, Boolean more) {}

    /**
     * Also what is used up.
     *
     * @param q part of a name, a number, a place, a plant or a person
     * @param on a day on which something came in or went out
     */
    @GetMapping("/find")
    FoundStartsView find(
            @RequestParam(defaultValue = "") String q, @RequestParam(required = false) @Nullable LocalDate on) {
        Checks.begin()
                .that(!q.isBlank() || on != null, "q", "or a day is wanted")
                .that(q.length() <= MOST_LETTERS, "q", "must have at most " + MOST_LETTERS + " letters")
                .done();
        Finding.Found found = finding.find(q, on);
        Map<UUID, LotView> lots = shelf.lots(found.ids()).stream().collect(Collectors.toMap(LotView::id, l -> l));
        return new FoundStartsView(
                found.ids().stream()
                        .map(id -> lots.get(id))
                        .filter(Objects::nonNull)
                        .map(l -> new StartView(
                                l.id(),
                                l.stage(),
                                l.form(),
                                l.stage() == Stage.STAND ? l.name() : l.name() + " " + l.code()))
                        .toList(),
                found.more());
    }

    @GetMapping("/lots/{id}")
    TracingService.TraceView trace(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean all) {
        return tracing.trace(id, all);
    }

    /** @param page from 0 */
    @GetMapping("/lots/{id}/taken")
    TakenOfLots.Page taken(@PathVariable UUID id, @RequestParam(defaultValue = "0") int page) {
        return tracing.taken(id, page);
    }

    /** What must come back, where it is and who has it; ticked off by hand. */
    @GetMapping("/lots/{id}/recall")
    Sheet recall(@PathVariable UUID id) {
        return recall.of(id);
    }

    @GetMapping(value = "/lots/{id}/recall.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> recallPdf(@PathVariable UUID id) {
        return Paper.response(recall.of(id), "to-call-back");
    }

    @PostMapping("/stands/{id}/doubt")
    TracingService.Quarantined doubt(
            @PathVariable UUID id,
            @RequestBody DoubtRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return tracing.doubt(id, request.reason(), ifMatch);
    }

    @PostMapping("/lots/{id}/doubt")
    List<LotView> doubtLot(
            @PathVariable UUID id,
            @RequestBody DoubtRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return tracing.doubtLot(id, request.reason(), ifMatch);
    }

    @PostMapping("/lots/{id}/mould")
    List<LotView> mould(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return tracing.mouldyLot(id, ifMatch);
    }

    @PostMapping("/lots/{id}/clear")
    List<LotView> clearLot(
            @PathVariable UUID id,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return tracing.clearLot(id, request, ifMatch);
    }

    @PostMapping("/stands/{id}/clear")
    TracingService.Quarantined clear(@PathVariable UUID id) {
        return tracing.clear(id);
    }
}
