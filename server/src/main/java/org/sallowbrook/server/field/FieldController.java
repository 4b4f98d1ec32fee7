package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
@RequestMapping("/api/field")
class FieldController {

    private final FieldService field;

    FieldController(FieldService field) {
        this.field = field;
    }

    @GetMapping("/stands")
    List<FieldService.StandView> stands() {
        return field.stands();
    }

    @GetMapping("/stands/{id}")
    FieldService.StandView stand(@PathVariable UUID id) {
        return field.stand(id);
    }

    @PostMapping("/stands")
    FieldService.StandView add(@RequestBody FieldService.StandRequest request) {
        return field.add(request);
    }

    @PutMapping("/stands/{id}")
    FieldService.StandView change(
            @PathVariable UUID id,
            @RequestBody FieldService.StandRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return field.change(id, request, ifMatch);
    }

    @GetMapping("/stands/{id}/identifications")
    List<FieldService.IdentificationView> identifications(@PathVariable UUID id) {
        return field.identifications(id);
    }

    @PostMapping("/stands/{id}/identifications")
    FieldService.IdentificationView identify(
            @PathVariable UUID id, @RequestBody FieldService.IdentificationRequest request) {
        return field.identify(id, request);
    }

    @PostMapping("/stands/{id}/harvests/check")
    FieldService.HarvestCheck check(@PathVariable UUID id, @RequestBody FieldService.HarvestRequest request) {
        return field.check(id, request);
    }

    @PostMapping("/stands/{id}/harvests")
    FieldService.HarvestView harvest(@PathVariable UUID id, @RequestBody FieldService.HarvestRequest request) {
        return field.harvest(id, request);
    }

    @PostMapping("/harvests/{id}/strike")
    void strikeHarvest(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        field.strikeHarvest(id, request);
    }

    @PostMapping("/stands/{id}/identifications/{look}/strike")
    FieldService.StandView strikeLook(
            @PathVariable UUID id, @PathVariable UUID look, @RequestBody StrikeRequest request) {
        return field.strikeLook(id, look, request);
    }

    @GetMapping("/harvests")
    Past harvests(@RequestParam(defaultValue = "0") int page) {
        return field.harvests(page);
    }
}
