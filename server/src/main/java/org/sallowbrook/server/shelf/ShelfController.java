package org.sallowbrook.server.shelf;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.documents.LabelPaper;
import org.sallowbrook.server.documents.LabelSheet;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

@RestController
@RequestMapping("/api/shelf")
class ShelfController {

    record HolderRequest(String holder) {}

    /** @param vesselId null for none of the household's own */
    record StandsInRequest(@Nullable UUID vesselId) {}

    private static final int MOST_LABELS = 200;

    private final ShelfService shelf;
    private final StockService stock;
    private final JarService jars;
    private final Label label;
    private final VesselService vessels;
    private final StockTake stockTake;
    private final TogetherService together;
    private final PeopleService people;

    ShelfController(
            ShelfService shelf,
            StockService stock,
            JarService jars,
            Label label,
            VesselService vessels,
            StockTake stockTake,
            TogetherService together,
            PeopleService people) {
        this.people = people;
        this.stockTake = stockTake;
        this.together = together;
        this.vessels = vessels;
        this.shelf = shelf;
        this.stock = stock;
        this.jars = jars;
        this.label = label;
    }

    @GetMapping("/lots")
    List<LotView> lots() {
        return shelf.there();
    }

    @GetMapping("/lots/past")
    Past past(@RequestParam(defaultValue = "0") int page, @RequestParam(defaultValue = "") String find) {
        return shelf.past(page, find);
    }

    /** The household's own jars, bottles and tins. */
    @GetMapping("/vessels")
    List<VesselService.VesselView> vessels() {
        return vessels.all();
    }

    @PostMapping("/vessels")
    VesselService.VesselView vessel(@RequestBody VesselService.VesselRequest request) {
        return vessels.add(request);
    }

    @PostMapping("/vessels/{id}/count")
    VesselService.VesselView countVessels(
            @PathVariable UUID id,
            @RequestBody VesselService.VesselCountRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return vessels.count(id, request, ifMatch);
    }

    @GetMapping("/lots/{id}")
    LotView lot(@PathVariable UUID id) {
        return shelf.lot(id);
    }

    @GetMapping("/jars/check/{runId}")
    List<Finding> check(@PathVariable UUID runId) {
        return jars.jarFindings(runId);
    }

    @PostMapping("/jars")
    LotView jar(@RequestBody JarService.JarRequest request) {
        return jars.jar(request);
    }

    @PostMapping("/supplies")
    LotView supply(@RequestBody StockService.SupplyRequest request) {
        return stock.add(request);
    }

    @PostMapping("/bought")
    LotView bought(@RequestBody JarService.BoughtRequest request) {
        return jars.buy(request);
    }

    @PostMapping("/lots/{id}/count")
    LotView count(
            @PathVariable UUID id,
            @RequestBody StockTake.CountRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return stockTake.count(id, request, ifMatch);
    }

    @PutMapping("/lots/{id}")
    LotView details(
            @PathVariable UUID id,
            @RequestBody StockTake.DetailsRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return stockTake.details(id, request, ifMatch);
    }

    /** What came into it and went out of it, with what was struck out. */
    @GetMapping("/lots/{id}/changes")
    List<StockTake.ChangeView> changes(@PathVariable UUID id) {
        return stockTake.account(id);
    }

    @PostMapping("/lots/{id}/changes/{change}/strike")
    LotView strike(@PathVariable UUID id, @PathVariable UUID change, @RequestBody StrikeRequest request) {
        return stockTake.strike(id, change, request);
    }

    /** What will be gone soon, as fast as it was used lately. */
    @GetMapping("/running-out")
    List<StockTake.RunningOut> runningOut() {
        return stockTake.runningOut();
    }

    @PostMapping("/lots/{id}/vessel")
    LotView standsIn(
            @PathVariable UUID id,
            @RequestBody StandsInRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        vessels.stand(id, request.vesselId(), ifMatch);
        return shelf.lot(id);
    }

    @PostMapping("/lots/{id}/release")
    LotView release(
            @PathVariable UUID id,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return shelf.release(id, request, ifMatch);
    }

    @PostMapping("/lots/{id}/finish")
    LotView finish(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "USED_UP") ShelfService.End end,
            @RequestParam(required = false) @Nullable Double amount,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return shelf.finish(id, end, amount, ifMatch);
    }

    @PostMapping("/lots/{id}/split")
    LotView split(
            @PathVariable UUID id,
            @RequestBody ShelfService.SplitRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return shelf.split(id, request, ifMatch);
    }

    @GetMapping("/lots/{id}/together")
    List<LotView> fitting(@PathVariable UUID id) {
        return together.fitting(id);
    }

    @PostMapping("/lots/{id}/together")
    LotView together(
            @PathVariable UUID id,
            @RequestBody TogetherService.TogetherRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return together.pour(id, request, ifMatch);
    }

    @PostMapping("/lots/{id}/apart")
    LotView apart(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return together.apart(id, ifMatch);
    }

    @PostMapping("/lots/{id}/pour-back")
    LotView pourBack(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return shelf.pourBack(id, ifMatch);
    }

    @PostMapping("/lots/{id}/give")
    LotView give(
            @PathVariable UUID id,
            @RequestBody HolderRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return shelf.give(id, request.holder(), ifMatch);
    }

    /** @param unprintable letters of the name that come out as question marks; empty for nearly every name */
    record LabelView(String unprintable) {}

    @GetMapping("/lots/{id}/label")
    LabelView labelOf(@PathVariable UUID id) {
        return new LabelView(Paper.unprintable(shelf.lot(id).name()));
    }

    /** @param labels how many are on a sheet */
    record PaperView(LabelPaper paper, String words, Integer labels) {}

    @GetMapping("/labels/papers")
    List<PaperView> papers() {
        return Arrays.stream(LabelPaper.values())
                .map(p -> new PaperView(p, p.words(), p.sheet().labels()))
                .toList();
    }

    /** A sheet of labels that no list has, measured with a ruler. */
    record OwnPaperRequest(
            Boolean letter,
            Integer columns,
            Integer rows,
            Double labelWidthMm,
            Double labelHeightMm,
            Double leftMm,
            Double topMm,
            Double acrossMm,
            Double downMm) {
        LabelSheet sheet() {
            LabelSheet paper = (letter ? LabelPaper.LETTER_4_X_2_IN : LabelPaper.A4_96_X_50).sheet();
            return new LabelSheet(
                    paper.widthMm(),
                    paper.heightMm(),
                    columns,
                    rows,
                    labelWidthMm,
                    labelHeightMm,
                    leftMm,
                    topMm,
                    acrossMm,
                    downMm);
        }
    }

    /** @param own as it is handed to the labels, to be kept for the next time */
    record OwnPaperView(String own, Integer labels) {}

    /** Whether labels so measured lie on the paper. */
    @PostMapping("/labels/own")
    OwnPaperView own(@RequestBody OwnPaperRequest request) {
        LabelSheet sheet = request.sheet();
        return new OwnPaperView(
                Stream.of(
                                request.letter() ? 1 : 0,
                                sheet.columns(),
                                sheet.rows(),
                                sheet.labelWidthMm(),
                                sheet.labelHeightMm(),
                                sheet.leftMm(),
                                sheet.topMm(),
                                sheet.acrossMm(),
                                sheet.downMm())
                        .map(String::valueOf)
                        .collect(Collectors.joining(",")),
                sheet.labels());
    }

    private static LabelSheet own(String own) {
        try {
            double[] n = Arrays.stream(own.split(","))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            return new OwnPaperRequest(n[0] == 1, (int) n[1], (int) n[2], n[3], n[4], n[5], n[6], n[7], n[8]).sheet();
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new InvalidInput(List.of(new InvalidInput.Violation("own", "must be what was measured")));
        }
    }

    /**
     * Labels of several lots on sheets of them.
     *
     * @param own of a sheet that was measured; then no paper is named
     * @param from the first label still on the first sheet, from 1
     */
    @GetMapping(value = "/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> labels(
            @RequestParam List<UUID> lot,
            @RequestParam(required = false) @Nullable LabelPaper paper,
            @RequestParam(required = false) @Nullable String own,
            @RequestParam Integer from) {
        Checks.begin()
                .that((paper == null) != (own == null), "paper", "must be one of the list, or measured")
                .done();
        LabelSheet sheet = paper == null ? own(String.valueOf(own)) : paper.sheet();
        Checks.begin()
                .that(!lot.isEmpty() && lot.size() <= MOST_LABELS, "lot", "must be 1 to " + MOST_LABELS)
                .range("from", from, 1, sheet.labels())
                .done();
        List<Sheet> labels =
                lot.stream().map(id -> label.of(shelf.lot(id), page(id))).toList();
        return Paper.response(Paper.labels(labels, sheet, from - 1, "Labels"), "labels");
    }

    private static String page(UUID lot) {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/shelf/" + lot)
                .toUriString();
    }

    /** What is there on paper, or a list to count by. */
    @GetMapping(value = "/list.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> list(@RequestParam Boolean counting) {
        return Paper.response(
                StockSheet.of(shelf.there(), people.today(), counting), counting ? "to-count" : "on-the-shelf");
    }

    /** A label to print, with a code that opens the lot's page. */
    @GetMapping(value = "/lots/{id}/label.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> label(@PathVariable UUID id) {
        LotView lot = shelf.lot(id);
        return Paper.response(label.of(lot, page(id)), "label-" + lot.code());
    }
}
