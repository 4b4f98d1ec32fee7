package org.sallowbrook.server.field;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/field")
class GroundController {

    private final GroundService ground;
    private final WalkService walks;
    private final Observations observations;

    GroundController(GroundService ground, WalkService walks, Observations observations) {
        this.observations = observations;
        this.walks = walks;
        this.ground = ground;
    }

    /** A round of the stands that are named, in a short order. */
    @GetMapping("/walk")
    WalkService.WalkView walk(@RequestParam(defaultValue = "") List<UUID> stand) {
        return walks.plan(stand);
    }

    @GetMapping("/ground")
    List<GroundService.ShapeView> shapes() {
        return ground.shapes();
    }

    @PostMapping("/ground")
    GroundService.ShapeView draw(@RequestBody GroundService.ShapeRequest request) {
        return ground.draw(request);
    }

    @DeleteMapping("/ground/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        ground.remove(id, ifMatch);
    }

    /** GeoJSON, GPX or KML, told apart by how it begins. */
    @PostMapping(value = "/ground/file", consumes = "text/plain")
    GroundService.GroundRead read(@RequestBody String text) {
        return ground.read(text);
    }

    @GetMapping(value = "/ground/ground.geojson", produces = "application/geo+json")
    ResponseEntity<Map<String, Object>> geoJson() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=ground.geojson")
                .body(ground.geoJson());
    }

    /** What grows where, for a collection of observations. */
    @GetMapping(value = "/ground/observations.zip", produces = "application/zip")
    ResponseEntity<byte[]> observations(@RequestParam Observations.Places places, @RequestParam Boolean names) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=observations.zip")
                .body(observations.archive(places, names));
    }

    @GetMapping(value = "/ground/stands.gpx", produces = "application/gpx+xml")
    ResponseEntity<byte[]> gpx() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=stands.gpx")
                .body(ground.gpx());
    }
}
