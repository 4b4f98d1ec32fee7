package org.sallowbrook.server.notes;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Picture;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/notes")
class NoteController {

    private final NoteService notes;

    NoteController(NoteService notes) {
        this.notes = notes;
    }

    @GetMapping
    NoteService.NotesView notes(
            @RequestParam(required = false) FindSource.@Nullable Thing about,
            @RequestParam(required = false) @Nullable String aboutId,
            @RequestParam(defaultValue = "0") int page) {
        return notes.notes(about, aboutId, page);
    }

    @GetMapping("/out-there")
    NoteService.OutThereView outThere() {
        return notes.outThere();
    }

    @GetMapping("/of-stands")
    List<NoteService.NoteView> ofStands() {
        return notes.ofStands();
    }

    @GetMapping("/last-time")
    List<NoteService.NoteView> lastTime(@RequestParam LotForm form, @RequestParam String called) {
        return notes.lastTime(form, called);
    }

    @GetMapping("/{id}")
    NoteService.NoteView note(@PathVariable UUID id) {
        return notes.note(id);
    }

    @PostMapping
    NoteService.NoteView write(@RequestBody NoteService.NoteRequest request) {
        return notes.write(request);
    }

    @PutMapping("/{id}")
    NoteService.NoteView change(
            @PathVariable UUID id,
            @RequestBody NoteService.NoteRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return notes.change(id, request, ifMatch);
    }

    @PostMapping("/{id}/been-back")
    NoteService.NoteView beenBack(@PathVariable UUID id) {
        return notes.beenBack(id);
    }

    @DeleteMapping("/{id}/been-back")
    NoteService.NoteView waitAgain(@PathVariable UUID id) {
        return notes.waitAgain(id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void throwAway(@PathVariable UUID id) {
        notes.throwAway(id);
    }

    @PostMapping("/{id}/bring-back")
    NoteService.NoteView bringBack(@PathVariable UUID id) {
        return notes.bringBack(id);
    }

    @PostMapping(path = "/{id}/pictures", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    NoteService.NoteView add(@PathVariable UUID id, @RequestParam UUID pictureId, @RequestParam MultipartFile file)
            throws IOException {
        return notes.add(id, pictureId, Picture.of(file.getBytes()));
    }

    @GetMapping(path = "/pictures/{id}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> jpeg(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .contentType(MediaType.IMAGE_JPEG)
                .body(notes.jpeg(id));
    }

    @DeleteMapping("/pictures/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        notes.remove(id);
    }
}
