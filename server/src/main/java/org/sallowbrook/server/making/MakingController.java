package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.LotView;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/making")
class MakingController {

    private final BatchService batches;
    private final Making making;
    private final Kitchen kitchen;
    private final Measures measures;
    private final Pan pan;

    MakingController(BatchService batches, Making making, Kitchen kitchen, Measures measures, Pan pan) {
        this.pan = pan;
        this.measures = measures;
        this.kitchen = kitchen;
        this.batches = batches;
        this.making = making;
    }

    @GetMapping("/batches")
    List<BatchService.BatchView> batches() {
        return batches.underWay();
    }

    @GetMapping("/batches/past")
    Past past(@RequestParam(defaultValue = "0") int page) {
        return batches.past(page);
    }

    @GetMapping("/batches/{id}")
    BatchService.BatchView batch(@PathVariable UUID id) {
        return batches.one(id);
    }

    @PostMapping("/batches/check")
    PlanView check(@RequestBody BatchRequest request) {
        return making.check(request);
    }

    @PostMapping("/batches")
    BatchService.BatchView start(
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
    BatchService.BatchView shake(@PathVariable UUID id, @RequestBody BatchService.ShakeRequest request) {
        return batches.shake(id, request);
    }

    @PostMapping("/batches/{id}/press")
    BatchService.BatchView press(
            @PathVariable UUID id,
            @RequestBody BatchService.PressRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.press(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/settle")
    BatchService.BatchView settle(
            @PathVariable UUID id,
            @RequestBody BatchService.SettleRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.settle(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/spoons")
    BatchService.BatchView spoon(@PathVariable UUID id, @RequestBody BatchService.SpoonRequest request) {
        return batches.spoon(id, request);
    }

    @PostMapping("/batches/{id}/shakes/{shake}/strike")
    BatchService.BatchView strikeShake(
            @PathVariable UUID id, @PathVariable UUID shake, @RequestBody StrikeRequest request) {
        return batches.strikeShake(id, shake, request);
    }

    @PostMapping("/batches/{id}/press/strike")
    BatchService.BatchView strikePressing(
            @PathVariable UUID id,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.strikePressing(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/containers/{bottle}/strike")
    BatchService.BatchView strikeFilling(
            @PathVariable UUID id,
            @PathVariable UUID bottle,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.strikeFilling(id, bottle, request, ifMatch);
    }

    @GetMapping("/batches/{id}/pan")
    Pan.PanView pan(@PathVariable UUID id) {
        return pan.view(id);
    }

    @PostMapping("/batches/{id}/pan")
    Pan.PanView weighPan(@PathVariable UUID id, @RequestBody Pan.PanRequest request) {
        return pan.weigh(id, request);
    }

    @PostMapping("/batches/{id}/pan/{weighing}/strike")
    Pan.PanView strikePan(@PathVariable UUID id, @PathVariable UUID weighing, @RequestBody StrikeRequest request) {
        return pan.strike(id, weighing, request);
    }

    /** Some of what steeps, poured off into bottles; the rest stays on the herb. */
    @PostMapping("/batches/{id}/pour-off")
    List<LotView> pourOff(
            @PathVariable UUID id,
            @RequestBody BatchService.FillRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.pourOff(id, request, ifMatch);
    }

    @PostMapping("/batches/{id}/containers")
    List<LotView> fill(
            @PathVariable UUID id,
            @RequestBody BatchService.FillRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.fill(id, request, ifMatch);
    }
}
