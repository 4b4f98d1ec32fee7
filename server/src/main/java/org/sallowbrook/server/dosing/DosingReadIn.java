package org.sallowbrook.server.dosing;

import java.util.List;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** Courses are read as strictly as those that were planned here. */
@Component
class DosingReadIn implements ReadIn {

    private final Courses courses;

    DosingReadIn(Courses courses) {
        this.courses = courses;
    }

    @Override
    public List<String> wrong(Came came) {
        courses.findAllById(came.of("course")).forEach(StoredCourse::request);
        return List.of();
    }
}
