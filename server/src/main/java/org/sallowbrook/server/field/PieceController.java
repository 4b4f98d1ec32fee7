package org.sallowbrook.server.field;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.WeakHashMap;
import org.sallowbrook.core.field.OnThePiece;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What to look at again on a picked piece; of all plants at once, for a device that goes where there is no line. */
@RestController
class PieceController {

    /** @param characters to be seen on the part at the stage, what tells it best first */
    record PieceView(String taxon, Taxon.Part part, LifeStage stage, List<String> characters) {}

    private final HerbariumService herbarium;

    /** Of each herbarium in use; all of it takes a second or so to work out. */
    private final Map<Herbarium, List<PieceView>> made = Collections.synchronizedMap(new WeakHashMap<>());

    PieceController(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @GetMapping("/api/field/pieces")
    List<PieceView> pieces() {
        return made.computeIfAbsent(herbarium.herbarium(), PieceController::of);
    }

    private static List<PieceView> of(Herbarium all) {
        return all.taxa().stream()
                .flatMap(t -> t.parts().stream()
                        .flatMap(p -> t.months().keySet().stream()
                                .sorted()
                                .map(stage -> new PieceView(
                                        t.id(), p.part(), stage, OnThePiece.toLookAt(all, t, p.part(), stage)))))
                .toList();
    }
}
