package org.sallowbrook.server.field;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Route;
import io.jenetics.jpx.Track;
import io.jenetics.jpx.TrackSegment;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.measure.InvalidInput;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a map's file holds: GeoJSON (RFC 7946), GPX 1.1 or KML 2.2, told apart by how it begins.
 *
 * @param left what is neither a line, an outline nor a point
 */
record MapFile(List<Outline> outlines, List<Place> places, int left) {

    /** A point with its name. @param plant and place as far as the file says them; elevationM null where it does not */
    record Place(
            String name,
            String plant,
            String place,
            double latitude,
            double longitude,
            @Nullable Double elevationM) {}

    private static final int LONGEST_NAME = 120;

    /** @throws InvalidInput saying what about the file can't be read */
    static MapFile read(String text, JsonMapper json) {
        Reading reading = new Reading();
        String begin = text.stripLeading();
        if (begin.startsWith("<")) {
            // No file of others, and no other encoding, is read through what is sent.
            String plain = begin.replaceFirst("^<\\?xml[^>]*\\?>", "");
            if (plain.contains("<!DOCTYPE")) {
                throw unreadable("must not have a document type");
            }
            if (plain.substring(0, Math.min(plain.length(), 2000)).contains("<kml")) {
                reading.kml(plain);
            } else {
                reading.gpx(plain);
            }
        } else {
            reading.geoJson(text, json);
        }
        return new MapFile(reading.outlines, reading.places, reading.left);
    }

    private static InvalidInput unreadable(String why) {
        return new InvalidInput(List.of(new InvalidInput.Violation("file", why)));
    }

    private static String shortened(String name) {
        String plain = name.strip();
        return plain.length() <= LONGEST_NAME ? plain : plain.substring(0, LONGEST_NAME);
    }

    private static final class Reading {

        private final List<Outline> outlines = new ArrayList<>();
        private final List<Place> places = new ArrayList<>();
        private int left;

        private void gpx(String text) {
            GPX gpx;
            try {
                gpx = GPX.Reader.DEFAULT.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
            } catch (IOException | IllegalArgumentException e) {
                throw unreadable("is no GPX that can be read");
            }
            for (WayPoint p : gpx.getWayPoints()) {
                places.add(new Place(
                        shortened(p.getName().orElse("")),
                        shortened(p.getDescription().orElse("")),
                        "",
                        p.getLatitude().doubleValue(),
                        p.getLongitude().doubleValue(),
                        p.getElevation().map(e -> e.doubleValue()).orElse(null)));
            }
            for (Track track : gpx.getTracks()) {
                for (TrackSegment segment : track.getSegments()) {
                    path(track.getName().orElse(""), points(segment.getPoints()));
                }
            }
            for (Route route : gpx.getRoutes()) {
                path(route.getName().orElse(""), points(route.getPoints()));
            }
        }

        private static List<Outline.Point> points(List<WayPoint> points) {
            return points.stream()
                    .map(p -> new Outline.Point(
                            p.getLongitude().doubleValue(), p.getLatitude().doubleValue()))
                    .toList();
        }

        /** A walk that was recorded by the second is thinned to what a map can show. */
        private void path(String name, List<Outline.Point> points) {
            if (points.size() < 2) {
                left++;
                return;
            }
            int step = (points.size() + Outline.MOST_POINTS - 2) / (Outline.MOST_POINTS - 1);
            List<Outline.Point> thin = new ArrayList<>();
            for (int i = 0; i < points.size(); i += step) {
                thin.add(points.get(i));
            }
            if ((points.size() - 1) % step != 0) {
                thin.add(points.get(points.size() - 1));
            }
            outlines.add(new Outline(Outline.Kind.PATH, shortened(name), thin));
        }

        private void geoJson(String text, JsonMapper json) {
            JsonNode root;
            try {
                root = json.readTree(text);
            } catch (JacksonException e) {
                throw unreadable("is neither GeoJSON, GPX nor KML");
            }
            switch (root.path("type").asString("")) {
                case "FeatureCollection" -> root.path("features").forEach(this::feature);
                case "Feature" -> feature(root);
                default -> throw unreadable("is no GeoJSON: its type is neither FeatureCollection nor Feature");
            }
        }

        private void feature(JsonNode feature) {
            JsonNode geometry = feature.path("geometry");
            JsonNode coordinates = geometry.path("coordinates");
            JsonNode properties = feature.path("properties");
            String name = shortened(properties.path("name").asString(""));
            Outline.Kind said = kind(properties.path("kind").asString(""));
            switch (geometry.path("type").asString("")) {
                case "Point" -> {
                    Outline.Point at = point(coordinates);
                    places.add(new Place(
                            name,
                            shortened(properties.path("plant").asString("")),
                            shortened(properties.path("place").asString("")),
                            at.latitude(),
                            at.longitude(),
                            coordinates.path(2).isNumber() ? coordinates.path(2).asDouble() : null));
                }
                case "LineString" -> outlines.add(outline(said, Outline.Kind.PATH, name, coordinates));
                case "MultiLineString" ->
                    coordinates.forEach(c -> outlines.add(outline(said, Outline.Kind.PATH, name, c)));
                case "Polygon" -> outlines.add(outline(said, Outline.Kind.WOOD, name, coordinates.path(0)));
                case "MultiPolygon" ->
                    coordinates.forEach(c -> outlines.add(outline(said, Outline.Kind.WOOD, name, c.path(0))));
                default -> left++;
            }
        }

        private static Outline.@Nullable Kind kind(String name) {
            for (Outline.Kind k : Outline.Kind.values()) {
                if (k.name().equalsIgnoreCase(name)) {
                    return k;
                }
            }
            return null;
        }

        /** What a file says of a kind holds where it fits a line or an area. */
        private static Outline outline(
                Outline.@Nullable Kind said, Outline.Kind usual, String name, JsonNode coordinates) {
            List<Outline.Point> points = new ArrayList<>();
            coordinates.forEach(c -> points.add(point(c)));
            Outline.Kind kind = said != null && said.area() == usual.area() ? said : usual;
            return new Outline(kind, name, points);
        }

        private static Outline.Point point(JsonNode c) {
            if (!c.path(0).isNumber() || !c.path(1).isNumber()) {
                throw unreadable("holds a point that is no pair of numbers");
            }
            return new Outline.Point(c.path(0).asDouble(), c.path(1).asDouble());
        }

        private void kml(String text) {
            XMLInputFactory factory = XMLInputFactory.newFactory();
            factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
            factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
            factory.setProperty(XMLInputFactory.IS_COALESCING, true);
            try {
                XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text));
                kml(xml);
            } catch (XMLStreamException e) {
                throw unreadable("is no KML that can be read");
            }
        }

        /** OGC KML 2.2: points, lines and the outer rings of areas, each with the name of its placemark and its folder. */
        private void kml(XMLStreamReader xml) throws XMLStreamException {
            Deque<String> inside = new ArrayDeque<>();
            Deque<String> folders = new ArrayDeque<>();
            String name = "";
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    String element = xml.getLocalName();
                    switch (element) {
                        case "name" -> {
                            String said = shortened(xml.getElementText());
                            if ("Placemark".equals(inside.peek())) {
                                name = said;
                            } else if ("Folder".equals(inside.peek())) {
                                folders.pop();
                                folders.push(said);
                            }
                            continue;
                        }
                        case "coordinates" -> {
                            drawn(inside, name, folders.isEmpty() ? "" : folders.peek(), xml.getElementText());
                            continue;
                        }
                        case "Folder" -> folders.push("");
                        case "Placemark" -> name = "";
                        default -> {
                            // What else there is only says where we are.
                        }
                    }
                    inside.push(element);
                } else if (event == XMLStreamConstants.END_ELEMENT) {
                    if (inside.pop().equals("Folder")) {
                        folders.pop();
                    }
                }
            }
        }

        private void drawn(Deque<String> inside, String name, String folder, String coordinates) {
            List<double[]> tuples = new ArrayList<>();
            for (String tuple : coordinates.strip().split("\\s+")) {
                try {
                    tuples.add(java.util.Arrays.stream(tuple.split(","))
                            .mapToDouble(Double::parseDouble)
                            .toArray());
                } catch (NumberFormatException e) {
                    throw unreadable("holds a point that is no pair of numbers");
                }
            }
            if (tuples.stream().anyMatch(t -> t.length < 2)) {
                throw unreadable("holds a point that is no pair of numbers");
            }
            List<Outline.Point> points =
                    tuples.stream().map(t -> new Outline.Point(t[0], t[1])).toList();
            if ("Point".equals(inside.peek())) {
                double[] first = tuples.get(0);
                // Without a height, most programs write a nought.
                places.add(new Place(
                        name,
                        "",
                        folder,
                        points.get(0).latitude(),
                        points.get(0).longitude(),
                        first.length > 2 && first[2] != 0 ? first[2] : null));
            } else if (inside.contains("innerBoundaryIs")) {
                left++;
            } else if (inside.contains("outerBoundaryIs")) {
                outlines.add(new Outline(Outline.Kind.WOOD, name, points));
            } else {
                path(name, points);
            }
        }
    }
}
