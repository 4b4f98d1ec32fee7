package org.sallowbrook.server.dosing;

import java.util.List;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Component;

/** The courses under way: read once for a view, with all that their judgement asks for announced. */
@Component
class Running {

    private final Courses courses;
    private final PeopleService people;
    private final ShelfService shelf;
    private final Exposures exposures;
    private final Reading reading;

    Running(Courses courses, PeopleService people, ShelfService shelf, Exposures exposures, Reading reading) {
        this.courses = courses;
        this.people = people;
        this.shelf = shelf;
        this.exposures = exposures;
        this.reading = reading;
    }

    List<CourseEntity> courses() {
        return reading.once("running courses", () -> {
            List<CourseEntity> running = courses.findAllByStatusAndLastDayGreaterThanEqualOrderByStartOnDescIdDesc(
                    CourseEntity.Status.RUNNING, people.today());
            reading.ahead(Reading.Of.COURSE, running.stream().map(c -> c.id).toList());
            reading.ahead(
                    Reading.Of.PERSON,
                    running.stream().map(c -> c.personId).distinct().toList());
            shelf.ahead(running.stream().map(c -> c.lotId).toList());
            exposures.ahead(running.stream().map(c -> c.personId).toList(), people.today());
            return running;
        });
    }
}
