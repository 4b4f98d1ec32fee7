package org.sallowbrook.server.calendar;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.sallowbrook.server.platform.Member;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What is due, for calendar programs. */
@RestController
@RequestMapping("/api/calendar")
class CalendarController {

    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final CalendarService calendars;

    CalendarController(CalendarService calendars) {
        this.calendars = calendars;
    }

    @GetMapping("/feeds")
    List<CalendarService.FeedView> feeds() {
        return calendars.feeds();
    }

    @PostMapping("/feeds")
    CalendarService.FeedView make(@RequestBody CalendarService.FeedRequest request) {
        return calendars.make(request);
    }

    @DeleteMapping("/feeds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable UUID id) {
        calendars.end(id);
    }

    /** As a file, once: what is put off later does not move in it. */
    @GetMapping(value = "/file", produces = "text/calendar;charset=UTF-8")
    ResponseEntity<String> file(
            @RequestParam Set<Chosen.Of> of, @RequestParam Boolean inFull, @RequestParam Chosen.Alarm alarm) {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("sallowbrook.ics")
                                .build()
                                .toString())
                .body(calendars.written(new Chosen(of, inFull, alarm), home()));
    }

    /** Read by a calendar program, which nobody signs in to: whoever has the address reads what its maker chose, and nothing else. */
    @GetMapping(value = "/feed/{secret}", produces = "text/calendar;charset=UTF-8")
    ResponseEntity<String> feed(@PathVariable String secret) {
        Member reader = calendars.reader(secret);
        SecurityContext before = SecurityContextHolder.getContext();
        SecurityContext as = SecurityContextHolder.createEmptyContext();
        as.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(reader, null, List.of()));
        SecurityContextHolder.setContext(as);
        try {
            CalendarService.Read read = calendars.read(secret, home());
            if (read.toNote()) {
                calendars.noteRead(secret);
            }
            String written = read.text();
            return ResponseEntity.ok()
                    .contentType(CALENDAR)
                    .cacheControl(CacheControl.noCache().cachePrivate())
                    .eTag("\"" + Integer.toHexString(written.hashCode()) + "-" + written.length() + "\"")
                    .body(written);
        } finally {
            SecurityContextHolder.setContext(before);
        }
    }

    private static String home() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().path("/").toUriString();
    }
}
