package org.sallowbrook.server.field;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Picture;
import org.springframework.http.CacheControl;
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
import org.springframework.web.multipart.MultipartFile;

/** What is kept beside a stand: staked plants and photos. */
@RestController
@RequestMapping("/api/field")
class TagAndPhotoController {

    private final TagService tags;
    private final PhotoService photos;

    TagAndPhotoController(TagService tags, PhotoService photos) {
        this.tags = tags;
        this.photos = photos;
    }

    @GetMapping("/tags")
    List<TagService.TagView> tags() {
        return tags.tags();
    }

    @GetMapping("/stands/{id}/tags")
    List<TagService.TagView> tags(@PathVariable UUID id) {
        return tags.tags(id);
    }

    @PostMapping("/stands/{id}/tags")
    TagService.TagView tag(@PathVariable UUID id, @RequestBody TagService.TagRequest request) {
        return tags.tag(id, request);
    }

    @GetMapping("/stands/{id}/photos")
    List<PhotoService.PhotoView> photos(@PathVariable UUID id) {
        return photos.photos(id);
    }

    /** A position is stored only when latitude and longitude are sent; what the file itself knows is dropped. */
    @PostMapping(path = "/stands/{id}/photos", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PhotoService.PhotoView add(
            @PathVariable UUID id,
            @RequestParam UUID photoId,
            @RequestParam(required = false) @Nullable UUID identificationId,
            @RequestParam LocalDate takenOn,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(required = false) @Nullable Double latitude,
            @RequestParam(required = false) @Nullable Double longitude,
            @RequestParam MultipartFile file)
            throws IOException {
        return photos.add(
                id,
                new PhotoService.PhotoDetails(photoId, identificationId, takenOn, words, latitude, longitude),
                Picture.of(file.getBytes()));
    }

    @GetMapping(path = "/photos/{id}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> jpeg(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate())
                .contentType(MediaType.IMAGE_JPEG)
                .body(photos.jpeg(id));
    }

    @DeleteMapping("/photos/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        photos.remove(id);
    }
}
