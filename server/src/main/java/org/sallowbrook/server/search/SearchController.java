package org.sallowbrook.server.search;

import java.util.Comparator;
import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.FindSource;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class SearchController {

    /** Of each room; who finds more than these wants another word. */
    private static final int MOST = 12;

    private final List<FindSource> rooms;

    SearchController(List<FindSource> rooms) {
        this.rooms = rooms;
    }

    /** What there is before what is over; of the same, in the order of the rooms. */
    @GetMapping("/api/search")
    @Transactional(readOnly = true)
    public List<FindSource.Hit> search(@RequestParam String q) {
        Checks.begin()
                .that(!q.isBlank() && q.length() <= 80, "q", "must have 1 to 80 letters")
                .done();
        return rooms.stream()
                .flatMap(room -> room.find(q.strip(), MOST).stream())
                .sorted(Comparator.comparing(FindSource.Hit::past))
                .toList();
    }
}
