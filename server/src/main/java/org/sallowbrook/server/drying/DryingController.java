package org.sallowbrook.server.drying;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.IndoorAir;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.WeatherService;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/drying")
class DryingController {

    /** @param humidity inside, as far as nothing but warmth is added to the air from outside */
    record AirView(Double outsideC, Double outsideHumidity, Double humidity) {}

    private final DryingService drying;
    private final WeatherService weather;

    DryingController(DryingService drying, WeatherService weather) {
        this.drying = drying;
        this.weather = weather;
    }

    /** Today's air at the temperature of a rack indoors; empty where no weather is known. */
    @GetMapping("/air")
    List<AirView> air(@RequestParam double temperatureC) {
        return weather.lately(1).days().stream()
                .map(w -> {
                    double outside = (w.lowC() + w.highC()) / 2;
                    return new AirView(outside, w.humidity(), IndoorAir.humidity(outside, w.humidity(), temperatureC));
                })
                .toList();
    }

    @GetMapping("/runs")
    List<DryingService.RunView> runs() {
        return drying.running();
    }

    @GetMapping("/runs/past")
    Past past(@RequestParam(defaultValue = "0") int page) {
        return drying.past(page);
    }

    @GetMapping("/waiting")
    List<HarvestService.HarvestView> waiting() {
        return drying.waiting();
    }

    @GetMapping("/runs/{id}")
    DryingService.RunView run(@PathVariable UUID id) {
        return drying.one(id);
    }

    @PostMapping("/runs")
    DryingService.RunView start(@RequestBody DryingService.StartRequest request) {
        return drying.start(request);
    }

    @PostMapping("/runs/{id}/weighings")
    DryingService.RunView weigh(@PathVariable UUID id, @RequestBody DryingService.WeighingRequest request) {
        return drying.weigh(id, request);
    }

    @PutMapping("/runs/{id}/condition")
    DryingService.RunView condition(
            @PathVariable UUID id,
            @RequestBody DryingService.ConditionRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return drying.condition(id, request, ifMatch);
    }

    @PostMapping("/runs/{id}/weighings/{weighing}/strike")
    DryingService.RunView strikeWeighing(
            @PathVariable UUID id, @PathVariable UUID weighing, @RequestBody StrikeRequest request) {
        return drying.strikeWeighing(id, weighing, request);
    }

    @PostMapping("/runs/{id}/tests")
    DryingService.RunView test(@PathVariable UUID id, @RequestBody DryingService.TestRequest request) {
        return drying.test(id, request);
    }

    @PostMapping("/runs/{id}/tests/{test}/strike")
    DryingService.RunView strikeTest(
            @PathVariable UUID id, @PathVariable UUID test, @RequestBody StrikeRequest request) {
        return drying.strikeTest(id, test, request);
    }

    @GetMapping("/ways")
    DryingService.WaysView ways(@RequestParam Taxon.Part part) {
        return drying.ways(part);
    }

    @GetMapping("/racks")
    List<String> racks() {
        return drying.racks();
    }

    @PostMapping("/runs/{id}/mould")
    DryingService.RunView mould(@PathVariable UUID id) {
        return drying.mould(id);
    }
}
