package org.sallowbrook.server.archive;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.documents.Paper;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** All records out and back, and the end of a household; for the keeper. */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {

    private static final String ZIP = "application/zip";
    private static final String CSV = "text/csv;charset=UTF-8";

    private static final int MOST_PAGES = 100_000;
    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2200;

    private final ArchiveService archive;
    private final Audit audit;
    private final YearBook book;
    private final Progress progress;

    ArchiveController(ArchiveService archive, Audit audit, YearBook book, Progress progress) {
        this.progress = progress;
        this.book = book;
        this.archive = archive;
        this.audit = audit;
    }

    @GetMapping(value = "/file", produces = ZIP)
    ResponseEntity<Resource> file() throws IOException {
        return zip(archive.write(), archive.fileName());
    }

    /** What is on record of one person, to take along when they move out. */
    @GetMapping(value = "/people/{id}/file", produces = ZIP)
    ResponseEntity<Resource> person(@PathVariable UUID id) throws IOException {
        return zip(archive.writePerson(id), "person-" + id + ".zip");
    }

    private static ResponseEntity<Resource> zip(Path file, String name) throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf(ZIP))
                .contentLength(Files.size(file))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new InputStreamResource(Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE)));
    }

    @GetMapping("/lists")
    List<ArchiveService.ListView> lists() {
        return archive.lists();
    }

    @GetMapping(value = "/lists/{name}.csv", produces = CSV)
    ResponseEntity<byte[]> list(
            @PathVariable String name, @RequestParam(defaultValue = "POINT") Lists.Decimal decimal) {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf(CSV))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name + ".csv")
                                .build()
                                .toString())
                .body(archive.list(name, decimal));
    }

    /**
     * Who decided, struck out and changed what, the latest first.
     *
     * @param page from 0
     */
    @GetMapping("/audit")
    Audit.AuditView audit(
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(required = false) @Nullable String by,
            @RequestParam(required = false) @Nullable UUID of,
            @RequestParam(defaultValue = "false") boolean changes) {
        Checks.begin()
                .that(page >= 0 && page < MOST_PAGES, "page", "must be from 0")
                .done();
        return audit.read(page, by, of, changes);
    }

    /** Everything gathered, made, taken and written down in a year, as a book. */
    @GetMapping(value = "/book.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> book(@RequestParam int year) {
        Checks.begin().range("year", year, FIRST_YEAR, LAST_YEAR).done();
        return Paper.response(book.of(year), "book-of-" + year);
    }

    /** What would happen if an archive were taken in; its body is the file. */
    @PostMapping(value = "/readings", consumes = ZIP)
    ArchiveService.ArchiveView read(HttpServletRequest request) throws IOException {
        return archive.read(request.getInputStream(), request.getContentLengthLong());
    }

    @PostMapping("/readings/{id}")
    ArchiveService.ReadInView take(@PathVariable UUID id, @RequestBody ArchiveService.ReadInRequest request) {
        return archive.take(id, request);
    }

    @DeleteMapping("/readings/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable UUID id) {
        archive.forget(id);
    }

    /** How far what whoever asks has begun here has come; empty where nothing runs. */
    @GetMapping("/progress")
    List<Progress.ProgressView> progress() {
        return progress.now();
    }

    /** It ends at its next row, and nothing of it stays. */
    @DeleteMapping("/progress")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop() {
        progress.stop();
    }

    @PostMapping("/deletion")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@RequestBody ArchiveService.DeleteHouseholdRequest request, HttpServletRequest http) {
        archive.delete(request, http.getRemoteAddr());
    }
}
