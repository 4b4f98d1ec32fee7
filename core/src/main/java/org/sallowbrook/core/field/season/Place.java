package org.sallowbrook.core.field.season;

import org.sallowbrook.core.measure.Checks;

/**
 * Where a plant grows, as far as it moves the season.
 *
 * @param latitude degrees north, -66 to 66: beyond it months say nothing
 * @param elevationM above the sea, -450 to 5000
 */
public record Place(double latitude, double elevationM) {

    /**
     * What the months on the cards are of. The floras that they come from describe the British Isles and the lowlands of
     * north-west Europe; 52 degrees is about their middle.
     */
    public static final Place OF_THE_CARDS = new Place(52, 0);

    /** Days later for each degree of latitude, and for each metre up: 4 and 4 in 400 feet. Hopkins (1918). */
    private static final double DAYS_PER_DEGREE = 4;

    private static final double DAYS_PER_M = 4 / 121.92;

    public Place {
        Checks.begin()
                .range("latitude", latitude, -66, 66)
                .range("elevationM", elevationM, -450, 5000)
                .done();
    }

    /**
     * How many days later spring comes here than where the cards' months are of; less than nothing for earlier.
     *
     * <p>Hopkins, A. D. (1918): Periodical events and natural law as guides to agricultural research and practice. Monthly
     * Weather Review, Supplement 9. Found in North America; near a mild sea it may be half of that.
     */
    public double daysLater() {
        return (Math.abs(latitude) - OF_THE_CARDS.latitude) * DAYS_PER_DEGREE
                + (elevationM - OF_THE_CARDS.elevationM) * DAYS_PER_M;
    }

    /** South of the equator the year is turned by half. */
    public boolean southern() {
        return latitude < 0;
    }
}
