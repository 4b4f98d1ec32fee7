package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

@RestController
@RequestMapping("/api/field")
class FieldController {

    private final StandService stands;
    private final LookService looks;
    private final HarvestService harvests;
    private final SeasonService season;
    private final WeatherService weather;

    FieldController(
            StandService stands,
            LookService looks,
            HarvestService harvests,
            SeasonService season,
            WeatherService weather) {
        this.season = season;
        this.weather = weather;
        this.stands = stands;
        this.looks = looks;
        this.harvests = harvests;
    }

    @GetMapping("/stands")
    List<StandService.StandView> stands() {
        return stands.stands();
    }

    @GetMapping("/stands/{id}")
    StandService.StandView stand(@PathVariable UUID id) {
        return stands.stand(id);
    }

    @PostMapping("/stands")
    StandService.StandView add(@RequestBody StandService.StandRequest request) {
        return stands.add(request);
    }

    @PutMapping("/stands/{id}")
    StandService.StandView change(
            @PathVariable UUID id,
            @RequestBody StandService.StandRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return stands.change(id, request, ifMatch);
    }

    @DeleteMapping("/stands/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        stands.remove(id, ifMatch);
    }

    @PostMapping("/stands/{id}/put-away")
    StandService.StandView putAway(
            @PathVariable UUID id,
            @RequestBody StrikeRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return stands.putAway(id, request, ifMatch);
    }

    @PostMapping("/stands/{id}/bring-back")
    StandService.StandView bringBack(@PathVariable UUID id) {
        return stands.bringBack(id);
    }

    @GetMapping("/stands/past")
    Past putAway(@RequestParam(defaultValue = "0") int page) {
        return stands.putAway(page);
    }

    /** When each part is ready at each stand. */
    @GetMapping(value = "/season.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> seasonOnPaper() {
        return Paper.response(SeasonSheet.of(season.season()), "season");
    }

    @GetMapping("/season")
    SeasonService.SeasonView season() {
        return season.season();
    }

    @GetMapping("/stands/{id}/sightings")
    List<SeasonService.SightingView> sightings(@PathVariable UUID id) {
        return season.sightings(id);
    }

    @PostMapping("/stands/{id}/sightings")
    SeasonService.SightingView see(@PathVariable UUID id, @RequestBody SeasonService.SightingRequest request) {
        return season.see(id, request);
    }

    @PostMapping("/stands/{id}/sightings/{sighting}/strike")
    void strikeSighting(@PathVariable UUID id, @PathVariable UUID sighting, @RequestBody StrikeRequest request) {
        season.strike(id, sighting, request);
    }

    @GetMapping("/weather")
    WeatherService.WeatherView weather(@RequestParam(defaultValue = "14") int days) {
        return weather.lately(days);
    }

    /** A table of the household's own readings, as text/csv. */
    @PostMapping(value = "/weather", consumes = "text/csv")
    WeatherService.ReadView readWeather(@RequestBody String table) {
        return weather.read(table);
    }

    @GetMapping("/stands/{id}/identifications")
    List<LookService.IdentificationView> identifications(@PathVariable UUID id) {
        return looks.identifications(id);
    }

    @PostMapping("/stands/{id}/identifications")
    LookService.IdentificationView identify(
            @PathVariable UUID id, @RequestBody LookService.IdentificationRequest request) {
        return looks.identify(id, request);
    }

    @PostMapping("/stands/{id}/harvests/check")
    HarvestService.HarvestCheck check(@PathVariable UUID id, @RequestBody HarvestService.HarvestRequest request) {
        return harvests.check(id, request);
    }

    @PostMapping("/stands/{id}/harvests")
    HarvestService.HarvestView harvest(@PathVariable UUID id, @RequestBody HarvestService.HarvestRequest request) {
        return harvests.harvest(id, request);
    }

    @GetMapping("/harvests/unweighed")
    List<HarvestService.HarvestView> unweighed() {
        return harvests.unweighed();
    }

    @PutMapping("/harvests/{id}/weight")
    HarvestService.HarvestView weigh(@PathVariable UUID id, @RequestBody HarvestService.WeightRequest request) {
        return harvests.weigh(id, request);
    }

    @PostMapping("/harvests/{id}/strike")
    void strikeHarvest(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        harvests.strikeHarvest(id, request);
    }

    @PostMapping("/stands/{id}/identifications/{look}/strike")
    StandService.StandView strikeLook(
            @PathVariable UUID id, @PathVariable UUID look, @RequestBody StrikeRequest request) {
        return looks.strikeLook(id, look, request);
    }

    @GetMapping("/harvests")
    Past harvests(@RequestParam(defaultValue = "0") int page) {
        return harvests.harvests(page);
    }
}
