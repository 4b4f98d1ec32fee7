package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.shelf.ShelfService.LotView;
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
    private final TinctureService tinctures;
    private final WaterOilSalveService others;

    MakingController(BatchService batches, TinctureService tinctures, WaterOilSalveService others) {
        this.batches = batches;
        this.tinctures = tinctures;
        this.others = others;
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

    @PostMapping("/tinctures/check")
    TinctureService.TincturePlanView checkTincture(@RequestBody TinctureService.TinctureBatchRequest request) {
        return tinctures.check(request);
    }

    @PostMapping("/tinctures")
    BatchService.BatchView startTincture(@RequestBody TinctureService.TinctureBatchRequest request) {
        return tinctures.start(request);
    }

    @PostMapping("/teas/check")
    WaterOilSalveService.PlanView checkTea(@RequestBody WaterOilSalveService.TeaBatchRequest request) {
        return others.check(request);
    }

    @PostMapping("/teas")
    BatchService.BatchView startTea(@RequestBody WaterOilSalveService.TeaBatchRequest request) {
        return others.start(request);
    }

    @PostMapping("/oils/check")
    WaterOilSalveService.PlanView checkOil(@RequestBody WaterOilSalveService.OilBatchRequest request) {
        return others.check(request);
    }

    @PostMapping("/oils")
    BatchService.BatchView startOil(@RequestBody WaterOilSalveService.OilBatchRequest request) {
        return others.start(request);
    }

    @PostMapping("/salves/check")
    WaterOilSalveService.PlanView checkSalve(@RequestBody WaterOilSalveService.SalveBatchRequest request) {
        return others.check(request);
    }

    @PostMapping("/salves")
    BatchService.BatchView startSalve(@RequestBody WaterOilSalveService.SalveBatchRequest request) {
        return others.start(request);
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

    @PostMapping("/batches/{id}/spoons")
    BatchService.BatchView spoon(@PathVariable UUID id, @RequestBody BatchService.SpoonRequest request) {
        return batches.spoon(id, request);
    }

    @PostMapping("/batches/{id}/containers")
    List<LotView> fill(
            @PathVariable UUID id,
            @RequestBody BatchService.FillRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return batches.fill(id, request, ifMatch);
    }
}
