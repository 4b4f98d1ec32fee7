package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Reading;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lots as the gates of the bench and of dosing see them. */
@Service
@Transactional(readOnly = true)
public class Products {

    private final LotReader reader;
    private final Standing standing;
    private final HerbariumService herbarium;
    private final Reading reading;

    Products(LotReader reader, Standing standing, HerbariumService herbarium, Reading reading) {
        this.reading = reading;
        this.standing = standing;
        this.reader = reader;
        this.herbarium = herbarium;
    }

    /** Its state judged over its whole descent. */
    public Product of(UUID id) {
        return product(reader.judged(reader.find(id)));
    }

    /** What was taken back of what once spoke against it, over its whole descent: whoever takes it should know. */
    public List<Finding> takenBack(UUID id) {
        return standing.takenBack(id);
    }

    /** These will be asked for. */
    public void ahead(Collection<UUID> ids) {
        reading.ahead(Reading.Of.LOT, ids);
    }

    /** What was in each of these; its state is the lot's own, not judged over its descent. For what is taken already. */
    public Map<UUID, Product> contents(Collection<UUID> ids) {
        return reader.views(ids).stream().collect(Collectors.toMap(LotView::id, this::product));
    }

    /** The constituent classes of every herb in a lot. */
    public Set<Taxon.Constituent> constituents(LotView lot) {
        return lot.herbs().stream()
                .flatMap(h -> herbarium.taxon(h.taxonId()).constituents().stream())
                .collect(Collectors.toSet());
    }

    private static Product.@Nullable Drawn drawn(LotForm form) {
        return switch (form) {
            case TEA, ICE_CUBES, TEA_MIXTURE -> Product.Drawn.WATER;
            case TINCTURE, MIXTURE -> Product.Drawn.SPIRIT;
            case POWDER -> Product.Drawn.WHOLE;
            case HERB -> Product.Drawn.NOT_YET;
            case PLANT, SALTED_HERB, FROZEN_HERB -> null;
            case SPIRIT,
                    CARRIER_OIL,
                    WAX,
                    VINEGAR,
                    GLYCERINE,
                    HONEY,
                    SUGAR,
                    SALT,
                    WINE,
                    BUTTER,
                    EMULSIFIER,
                    PRESERVATIVE,
                    ESSENTIAL_OIL,
                    HERBAL_VINEGAR,
                    GLYCERITE,
                    HERBAL_HONEY,
                    OXYMEL,
                    HERBAL_WINE,
                    WASH,
                    SYRUP,
                    POULTICE,
                    INFUSED_OIL,
                    SALVE,
                    CREAM -> Product.Drawn.OTHER;
        };
    }

    private Product product(LotView view) {
        double dried = view.herbs().stream().mapToDouble(HerbView::driedG).sum();
        return new Product(
                view.name(),
                view.route(),
                view.herbs().stream()
                        .map(h -> new Product.Herb(
                                herbarium.taxon(h.taxonId()), h.part(), dried > 0 ? h.driedG() / dried : 0))
                        .toList(),
                view.driedGPerUnit() == null ? null : view.driedGPerUnit().interval(),
                view.strengthPercent() == null ? Strength.NONE : Strength.ofPercent(view.strengthPercent()),
                view.bestBefore() == null ? LocalDate.MAX : view.bestBefore(),
                view.state(),
                view.traits(),
                drawn(view.form()));
    }
}
