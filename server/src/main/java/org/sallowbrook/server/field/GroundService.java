package org.sallowbrook.server.field;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Track;
import io.jenetics.jpx.TrackSegment;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The household's own map: drawn by hand, or read from GeoJSON (RFC 7946) and GPX 1.1, and written in both. */
@Service
@Transactional
public class GroundService {

    /** @param points longitude and latitude of each */
    public record ShapeRequest(UUID id, Outline.Kind kind, String name, List<List<Double>> points) {}

    public record ShapeView(UUID id, Long version, Outline.Kind kind, String name, List<List<Double>> points) {}

    /** @param left what is neither a line nor an outline, or was on the map already */
    public record GroundRead(Integer read, Integer left) {}

    private static final int MOST_SHAPES = 500;

    private final GroundShapes shapes;
    private final StandService stands;
    private final Once once;
    private final JsonMapper json;

    GroundService(GroundShapes shapes, StandService stands, Once once, JsonMapper json) {
        this.shapes = shapes;
        this.stands = stands;
        this.once = once;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public List<ShapeView> shapes() {
        return shapes.findAllByOrderByKindAscNameAscIdAsc().stream()
                .map(this::view)
                .toList();
    }

    public ShapeView draw(ShapeRequest request) {
        if (once.repeated("shape", request.id(), shapes::existsById, request)) {
            return view(find(request.id()));
        }
        return view(keep(request.id(), new Outline(request.kind(), request.name(), points(request.points()))));
    }

    public void remove(UUID id, @Nullable String ifMatch) {
        GroundShape shape = find(id);
        shape.checkVersion(ifMatch, () -> view(shape));
        shapes.delete(shape);
        shapes.flush();
    }

    private GroundShape keep(UUID id, Outline outline) {
        Checks.begin()
                .that(shapes.count() < MOST_SHAPES, "points", "are too many lines: a map holds " + MOST_SHAPES)
                .done();
        GroundShape shape = new GroundShape(id);
        shape.kind = outline.kind();
        shape.name = outline.name();
        shape.outline = StoredOutline.DOCUMENT.write(new StoredOutline(pairs(outline)));
        return shapes.saveAndFlush(shape);
    }

    private static List<List<Double>> pairs(Outline outline) {
        return outline.points().stream()
                .map(p -> List.of(p.longitude(), p.latitude()))
                .toList();
    }

    private static List<Outline.Point> points(List<List<Double>> pairs) {
        List<Outline.Point> points = new ArrayList<>();
        for (List<Double> pair : pairs) {
            Checks.begin()
                    .that(
                            pair != null && pair.size() >= 2 && pair.get(0) != null && pair.get(1) != null,
                            "points",
                            "must each be a longitude and a latitude")
                    .done();
            points.add(new Outline.Point(pair.get(0), pair.get(1)));
        }
        return points;
    }

    private GroundShape find(UUID id) {
        return shapes.findById(id).orElseThrow(() -> new Problem.NotFound("line on the map"));
    }

    private ShapeView view(GroundShape s) {
        return new ShapeView(
                s.id,
                s.version == null ? 0 : s.version,
                s.kind,
                s.name,
                StoredOutline.DOCUMENT.read(s.outline).points());
    }

    /** Reads a file; what is on the map already is not drawn twice. */
    public GroundRead read(String text) {
        MapFile file = MapFile.read(text, json);
        int left = file.left() + file.places().size();
        List<ShapeView> known = new ArrayList<>(shapes());
        int read = 0;
        for (Outline outline : file.outlines()) {
            List<List<Double>> pairs = pairs(outline);
            if (known.stream()
                    .anyMatch(k -> k.kind() == outline.kind() && k.points().equals(pairs))) {
                left++;
            } else {
                known.add(view(keep(Owned.newId(), outline)));
                read++;
            }
        }
        return new GroundRead(read, left);
    }

    /** The map and the stands on it. */
    @Transactional(readOnly = true)
    public Map<String, Object> geoJson() {
        List<Map<String, Object>> features = new ArrayList<>();
        for (ShapeView s : shapes()) {
            List<List<Double>> ring = new ArrayList<>(s.points());
            if (s.kind().area()) {
                ring.add(s.points().get(0));
            }
            features.add(feature(
                    s.kind().area() ? "Polygon" : "LineString",
                    s.kind().area() ? List.of(ring) : ring,
                    Map.of("name", s.name(), "kind", s.kind().name())));
        }
        for (StandService.StandView s : stands.stands()) {
            if (s.latitude() != null && s.longitude() != null) {
                Map<String, Object> properties = new LinkedHashMap<>();
                properties.put("name", s.name());
                properties.put("place", s.place());
                properties.put("plant", s.scientificName() == null ? s.commonName() : s.scientificName());
                features.add(feature("Point", List.of(s.longitude(), s.latitude()), properties));
            }
        }
        return Map.of("type", "FeatureCollection", "features", features);
    }

    private static Map<String, Object> feature(String type, Object coordinates, Map<String, Object> properties) {
        return Map.of(
                "type",
                "Feature",
                "geometry",
                Map.of("type", type, "coordinates", coordinates),
                "properties",
                properties);
    }

    /** Stands as way points, paths and roads as tracks: what a device in the hand can show. */
    @Transactional(readOnly = true)
    public byte[] gpx() {
        GPX.Builder gpx = GPX.builder("Sallowbrook");
        for (StandService.StandView s : stands.stands()) {
            if (s.latitude() != null && s.longitude() != null) {
                gpx.addWayPoint(WayPoint.builder()
                        .lat(s.latitude())
                        .lon(s.longitude())
                        .name(s.name())
                        .desc(s.commonName())
                        .build());
            }
        }
        for (ShapeView s : shapes()) {
            if (!s.kind().area()) {
                TrackSegment.Builder segment = TrackSegment.builder();
                s.points().forEach(p -> segment.addPoint(WayPoint.of(p.get(1), p.get(0))));
                gpx.addTrack(Track.builder()
                        .name(s.name())
                        .addSegment(segment.build())
                        .build());
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            GPX.Writer.DEFAULT.write(gpx.build(), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
