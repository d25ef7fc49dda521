package openslab.server.job;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import openslab.server.store.Writes;
import openslab.server.web.Brief;
import openslab.server.web.NotHere;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures under the entries of the log. */
@RestController
class PhotoController {
    private final PhotoStore photos;
    private final ZoneStore zones;
    private final JobViews views;
    private final Writes writes;

    PhotoController(PhotoStore photos, ZoneStore zones, JobViews views, Writes writes) {
        this.photos = photos;
        this.zones = zones;
        this.views = views;
        this.writes = writes;
    }

    /** The write's key becomes the photo's id. */
    @PostMapping(
            value = "/api/jobs/{jobId}/log/{entryKey}/photos",
            consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(mediaType = "image/jpeg", schema = @Schema(type = "string", format = "binary")))
    @Brief
    JobViews.HeadView add(
            @PathVariable UUID jobId,
            @PathVariable UUID entryKey,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody byte[] bytes) {
        writes.onceIn(jobId, key, List.of("photo", jobId, entryKey, Writes.digest(bytes)), () -> {
            boolean here = zones.of(jobId).stream()
                    .flatMap(z -> z.log().stream())
                    .anyMatch(e -> e.key().equals(entryKey.toString()));
            if (!here) {
                throw new NotHere("entryKey", entryKey);
            }
            photos.insert(key, entryKey, PhotoStore.read("photo", bytes));
            return key.toString();
        });
        return views.head(jobId);
    }

    @GetMapping("/api/photos/{photoId}")
    ResponseEntity<byte[]> photo(@PathVariable UUID photoId) {
        PhotoStore.Photo photo = photos.get(photoId);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(photo.kind()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365))
                        .cachePrivate()
                        .immutable())
                .body(photo.bytes());
    }
}
