package org.sallowbrook.core.field;

import java.util.List;
import org.sallowbrook.core.measure.Checks;

/**
 * A line or outline on a household's own map.
 *
 * @param name empty for none
 * @param points 2 to 2000; an outline is closed without its first point again
 */
public record Outline(Kind kind, String name, List<Point> points) {

    public enum Kind {
        /** Land against the sea. */
        SHORE,
        WATER,
        WOOD,
        MEADOW,
        PATH,
        /** Where traffic or industry taints the ground. */
        ROAD,
        HOUSE;

        /** Whether it holds an area; else it is a line. */
        public boolean area() {
            return this != PATH && this != ROAD;
        }
    }

    /** Degrees, WGS 84, longitude first as in GeoJSON (RFC 7946). */
    public record Point(double longitude, double latitude) {
        public Point {
            Checks.begin()
                    .range("longitude", longitude, -180, 180)
                    .range("latitude", latitude, -66, 66)
                    .done();
        }
    }

    public static final int MOST_POINTS = 2000;

    public Outline {
        name = name.strip();
        points = points.size() > 3 && kind.area() && points.get(0).equals(points.get(points.size() - 1))
                ? List.copyOf(points.subList(0, points.size() - 1))
                : List.copyOf(points);
        Checks.begin()
                .that(name.length() <= 120, "name", "must have at most 120 letters")
                .that(
                        points.size() >= (kind.area() ? 3 : 2) && points.size() <= MOST_POINTS,
                        "points",
                        "must hold " + (kind.area() ? 3 : 2) + " to " + MOST_POINTS)
                .done();
    }

    private static final double EARTH_M = 6_371_008.8;

    /** Along a great circle, m, by the haversine formula on a sphere of the mean radius (IUGG): within 0.6 %. */
    public static double metres(Point a, Point b) {
        double lat = Math.toRadians(b.latitude - a.latitude);
        double lon = Math.toRadians(b.longitude - a.longitude);
        double h = Math.pow(Math.sin(lat / 2), 2)
                + Math.cos(Math.toRadians(a.latitude))
                        * Math.cos(Math.toRadians(b.latitude))
                        * Math.pow(Math.sin(lon / 2), 2);
        return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
    }
}
