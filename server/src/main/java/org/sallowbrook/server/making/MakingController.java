package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.LotView;
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
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

@RestController
@RequestMapping("/api/making")
class MakingController {

    private final BatchReader batches;
    private final Making making;
    private final ShakingService shaking;
    private final PressingService pressing;
    private final FillingService filling;
    private final Kitchen kitchen;
    private final Measures measures;
    private final BatchSheet sheet;

    MakingController(
            BatchReader batches,
            Making making,
            ShakingService shaking,
            PressingService pressing,
            FillingService filling,
            Kitchen kitchen,
            Measures measures,
            BatchSheet sheet) {
        this.sheet = sheet;
        this.batches = batches;
        this.making = making;
        this.shaking = shaking;
        this.pressing = pressing;
        this.filling = filling;
        this.kitchen = kitchen;
        this.measures = measures;
    }

    @GetMapping("/batches")
    List<BatchReader.BatchView> batches() {
        return batches.underWay();
    }

    @GetMapping("/batches/past")
    Past past(@RequestParam(defaultValue = "0") int page) {
        return batches.past(page);
    }

    @GetMapping("/batches/{id}")
    BatchReader.BatchView batch(@PathVariable UUID id) {
        return batches.one(id);
    }

    /** A batch on paper, with a code that opens its page. */
    @GetMapping(value = "/batches/{id}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> onPaper(@PathVariable UUID id) {
        String page = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/making/batches/" + id)
                .toUriString();
        return Paper.response(sheet.of(id, page), "batch-" + batches.one(id).code());
    }

    @PostMapping("/batches/check")
    PlanView check(@RequestBody BatchRequest request) {
        return making.check(request);
    }

    @PostMapping("/batches")
    BatchReader.BatchView start(
            @RequestBody BatchRequest request, @RequestParam(required = false) @Nullable UUID vessel) {
        return making.start(request, vessel);
    }

    /** What this household's own spoons, cups and handfuls hold. */
    @GetMapping("/measures")
    List<Measures.MeasureView> measures() {
        return measures.all();
    }

    @PostMapping("/measures")
    Measures.MeasureView measure(@RequestBody Measures.MeasureRequest request) {
        return measures.add(request);
    }

    @PostMapping("/measures/{id}/strike")
    List<Measures.MeasureView> strikeMeasure(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        return measures.strike(id, request);
    }

    @GetMapping("/batches/{id}/kitchen")
    Kitchen.KitchenView kitchen(@PathVariable UUID id) {
        return kitchen.view(id);
    }

    @PostMapping("/batches/{id}/steps")
    Kitchen.KitchenView step(@PathVariable UUID id, @RequestBody Kitchen.StepDoneRequest request) {
        return kitchen.done(id, request);
    }

    @PostMapping("/batches/{id}/steps/back")
    Kitchen.KitchenView stepBack(@PathVariable UUID id, @RequestBody Kitchen.StepBackRequest request) {
        return kitchen.back(id, request);
    }

    @PostMapping("/batches/{id}/shakes")
    BatchReader.BatchView shake(@PathVariable UUID id, @RequestBody ShakingService.ShakeRequest request) {
        return shaking.shake(id, request);
    }

    @PostMapping("/batches/{id}/press")
    BatchReader.BatchView press(
            @PathVariable UUID id,
            @RequestBody PressingService.PressRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return pressing.press(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/settle")
    BatchReader.BatchView settle(
            @PathVariable UUID id,
            @RequestBody PressingService.SettleRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return pressing.settle(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/shakes/{shake}/strike")
    BatchReader.BatchView strikeShake(
            @PathVariable UUID id, @PathVariable UUID shake, @RequestBody StrikeRequest request) {
        return shaking.strikeShake(id, shake, request);
    }

    @PostMapping("/batches/{id}/press/strike")
    BatchReader.BatchView strikePressing(
            @PathVariable UUID id,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return pressing.strikePressing(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/containers/{bottle}/strike")
    BatchReader.BatchView strikeFilling(
            @PathVariable UUID id,
            @PathVariable UUID bottle,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return filling.strikeFilling(id, bottle, request, ifMatch);
    }

    /** Some of what steeps, poured off into bottles; the rest stays on the herb. */
    @PostMapping("/batches/{id}/pour-off")
    List<LotView> pourOff(
            @PathVariable UUID id,
            @RequestBody FillingService.FillRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return filling.pourOff(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/containers")
    List<LotView> fill(
            @PathVariable UUID id,
            @RequestBody FillingService.FillRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return filling.fill(id, request, ifMatch);
    }
}
