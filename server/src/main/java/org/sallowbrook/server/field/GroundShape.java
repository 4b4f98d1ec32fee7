package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.server.platform.Versioned;

/** One line or outline of the household's own map. */
@Entity
@Table(name = "ground_shape")
class GroundShape extends Versioned {

    @Enumerated(EnumType.STRING)
    Outline.Kind kind = Outline.Kind.PATH;

    String name = "";

    /** A {@link StoredOutline}. */
    @JdbcTypeCode(SqlTypes.JSON)
    String outline = "";

    protected GroundShape() {}

    GroundShape(UUID id) {
        super(id);
    }
}
