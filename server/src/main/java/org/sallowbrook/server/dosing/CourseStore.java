package org.sallowbrook.server.dosing;

import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes courses down as they were asked for, and reads them again. */
@Component
class CourseStore {

    private final JsonMapper json;

    CourseStore(JsonMapper json) {
        this.json = json;
    }

    String write(CourseRequest request) {
        return json.writeValueAsString(request);
    }

    CourseRequest read(CourseEntity course) {
        return json.readValue(course.plan, CourseRequest.class);
    }
}
