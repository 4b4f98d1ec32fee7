package org.sallowbrook.server.making.salve;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.making.StockIn;

/** @param massG of it, in all that is made */
record EssentialIn(StockIn stock, Double massG) {

    /** Loads them, and draws what is used of each. */
    static List<EssentialOil.Used> all(@Nullable List<EssentialIn> wanted, Ingredients in, Materials materials) {
        List<EssentialOil.Used> used = new ArrayList<>();
        if (wanted == null) {
            return used;
        }
        Checks.begin()
                .that(wanted.size() <= 10, "essentialOils", "must name at most 10")
                .done();
        for (int i = 0; i < wanted.size(); i++) {
            EssentialIn one = wanted.get(i);
            String field = "essentialOils[" + i + "]";
            Checks.begin().range(field + ".massG", one.massG(), 0.01, 100).done();
            Ingredients.Stock stock = in.stock(one.stock(), Set.of(LotForm.ESSENTIAL_OIL), field + ".stock");
            in.draw(stock.lot(), one.massG());
            used.add(new EssentialOil.Used(materials.essentialOil(stock.name()), one.massG()));
        }
        return used;
    }
}
