package org.sallowbrook.server.field;

import java.util.List;
import org.sallowbrook.core.field.OnThePiece;
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

    PieceController(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @GetMapping("/api/field/pieces")
    List<PieceView> pieces() {
        var all = herbarium.herbarium();
        return all.taxa().stream()
                .flatMap(t -> t.parts().stream()
                        .flatMap(p -> t.months().keySet().stream()
                                .sorted()
                                .map(stage -> new PieceView(
                                        t.id(), p.part(), stage, OnThePiece.toLookAt(all, t, p.part(), stage)))))
                .toList();
    }
}
