package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Component;

/** Spirit, oil, wax and whatever else is bought, from a list. */
@Component
class SuppliesIn implements ListIn {

    private final StockService stock;
    private final JarService jars;
    private final Lots lots;

    SuppliesIn(StockService stock, JarService jars, Lots lots) {
        this.stock = stock;
        this.jars = jars;
        this.lots = lots;
    }

    @Override
    public String name() {
        return "supplies";
    }

    @Override
    public String words() {
        return "Supplies: spirit, oil, wax and the like";
    }

    @Override
    public String hint() {
        return "What is solid in grams, what is liquid in millilitres. Nothing is said to be open unless the list says so.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.choice("form", "What", Stream.of(LotForm.values()).filter(LotForm::supply), "kind", "form")
                        .must(),
                Column.text("name", "Name").must(),
                Column.number("amountG", "Amount in grams", "g", "mass", "weight"),
                Column.number("amountMl", "Amount in millilitres", "mL", "volume"),
                Column.number("strengthPercent", "Strength", "%", "acidity", "strength, % vol"),
                Column.of("denatured", "Denatured", Kind.YES_NO),
                Column.of("open", "Open", Kind.YES_NO, "opened"),
                Column.of("bestBefore", "Best before", Kind.DAY),
                Column.text("place", "Place", "where"));
    }

    @Override
    public String same(Line line) {
        return line.alike("form", "name", "amountG", "amountMl", "place", "bestBefore");
    }

    @Override
    public boolean here(Line line) {
        LocalDate best = line.day("bestBefore");
        Double amount = line.number(amount(line));
        return amount != null
                && lots.supplied(
                        line.choice("form", LotForm.class, LotForm.SPIRIT),
                        line.textOr("name", ""),
                        line.textOr("place", ""),
                        amount,
                        best == null ? LocalDate.EPOCH : best,
                        LocalDate.EPOCH);
    }

    private static String amount(Line line) {
        return line.choice("form", LotForm.class, LotForm.SPIRIT).unit() == Unit.G ? "amountG" : "amountMl";
    }

    @Override
    public Brought take(Line line) {
        LotForm form = line.choice("form", LotForm.class, LotForm.SPIRIT);
        String key = amount(line);
        Double amount = line.number(key);
        if (amount == null) {
            throw new InvalidInput(List.of(new InvalidInput.Violation(key, "is wanted for this")));
        }
        LotView lot = stock.add(new StockService.SupplyRequest(
                Owned.newId(),
                form,
                line.textOr("name", ""),
                amount,
                line.number("strengthPercent"),
                line.yes("denatured"),
                line.yes("open"),
                line.day("bestBefore"),
                line.textOr("place", "")));
        return new Brought(lot.id().toString(), lot.name() + " " + lot.code());
    }

    @Override
    public void takeBack(String handle) {
        jars.takeBack(UUID.fromString(handle));
    }
}
