package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.planning.Basket;

/**
 * What is there already.
 *
 * @param product DRIED for herb in a jar, of which anything may be made; else it is used as it is
 * @param amount in the unit of the product
 * @param from when it may be used: an ageing hold
 * @param until its best-before; null where it has none
 */
public record Stock(
        String id,
        String name,
        String herb,
        Basket.Product product,
        double amount,
        LocalDate from,
        @Nullable LocalDate until) {
    public Stock {
        Checks.begin().notNegative("amount", amount).done();
    }

    boolean keepsTo(LocalDate day) {
        return until == null || !until.isBefore(day);
    }
}
