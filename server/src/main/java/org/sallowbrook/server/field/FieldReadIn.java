package org.sallowbrook.server.field;

import java.util.List;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** Looks, tells and outlines are read as strictly as those that were written here. */
@Component
class FieldReadIn implements ReadIn {

    private final StandIdentifications looks;
    private final Harvests harvests;
    private final GroundShapes shapes;

    FieldReadIn(StandIdentifications looks, Harvests harvests, GroundShapes shapes) {
        this.looks = looks;
        this.harvests = harvests;
        this.shapes = shapes;
    }

    @Override
    public List<String> wrong(Came came) {
        looks.findAllById(came.of("stand_identification")).forEach(l -> StoredLook.DOCUMENT.read(l.look));
        harvests.findAllById(came.of("harvest")).forEach(h -> StoredTells.DOCUMENT.read(h.tells));
        shapes.findAllById(came.of("ground_shape")).forEach(s -> StoredOutline.DOCUMENT.read(s.outline));
        return List.of();
    }
}
