package org.sallowbrook.server.dosing;

import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes courses down as they were asked for, and reads them again. */
@Component
class CourseStore {

    private final JsonMapper json;

    CourseStore(JsonMapper json) {
        // What is in a course and not understood here would change a dose in silence.
        this.json = json.rebuild()
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
    }

    String write(CourseRequest request) {
        return json.writeValueAsString(request);
    }

    CourseRequest read(CourseEntity course) {
        return json.readValue(course.plan, CourseRequest.class);
    }
}
