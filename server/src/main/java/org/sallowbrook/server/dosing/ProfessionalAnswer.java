package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

/** What a prescriber or pharmacist said of a plant for somebody, and what that person took when they were asked. */
@Entity
@Table(name = "professional_answer")
class ProfessionalAnswer extends Entry {

    UUID personId = new UUID(0, 0);
    String taxonId = "";
    String who = "";

    /** Whether it goes with what the person takes. */
    boolean goes;

    String words = "";
    LocalDate onDay = LocalDate.EPOCH;

    /** Kinds of medicine, separated by commas; of another one nobody was asked. */
    String medicines = "";

    String notedBy = "";

    protected ProfessionalAnswer() {}

    ProfessionalAnswer(UUID id) {
        super(id);
    }
}
