package org.sallowbrook.server.joining;

import java.security.cert.CertificateEncodingException;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.documents.Code;
import org.sallowbrook.server.platform.Problem;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How a phone joins: what the keeper shows it, and what the phone asks for before it trusts the machine. */
@RestController
@RequestMapping("/api/joining")
class JoiningController {

    /**
     * @param join where a phone begins, as a link; null where the machine is in no network
     * @param code the same as a square to be read by a phone's camera
     * @param links under which it is reached once a phone has joined
     * @param fingerprint of the authority, the same on the machine and on the phone
     * @param another whether the authority was made at this start in place of the one that phones trust
     */
    record JoiningView(
            @Nullable String join,
            @Nullable CodeView code,
            List<String> links,
            String fingerprint,
            Instant authorityUntil,
            @Nullable Instant certificateUntil,
            Boolean another) {}

    /** @param side in cells; @param path of its dark cells, as SVG draws it */
    record CodeView(Integer side, String path) {}

    /** @param port for https, at the host the page came from */
    record JoinAboutView(Integer port, String fingerprint) {}

    private static final MediaType AUTHORITY = MediaType.valueOf("application/x-x509-ca-cert");

    private final Home home;
    private final HouseNetwork network;

    JoiningController(Home home, HouseNetwork network) {
        this.home = home;
        this.network = network;
    }

    /** Empty where the machine was not started for the house. */
    @GetMapping
    List<JoiningView> joining() {
        if (!network.listens()) {
            return List.of();
        }
        Authority authority = network.authority();
        List<String> hosts = network.hosts();
        String join = hosts.isEmpty() ? null : "http://" + hosts.get(0) + ":" + home.plainPort() + "/";
        return List.of(new JoiningView(
                join,
                join == null ? null : code(join),
                hosts.stream()
                        .map(h -> "https://" + h + ":" + home.port() + "/")
                        .toList(),
                authority.fingerprint(),
                authority.lasts(),
                authority.machineLasts(),
                authority.isAnother()));
    }

    private static CodeView code(String address) {
        Code code = Code.of(address);
        return new CodeView(code.side(), code.path());
    }

    @GetMapping("/about")
    JoinAboutView about() {
        inTheHouse();
        return new JoinAboutView(home.port(), network.authority().fingerprint());
    }

    /** The authority's certificate, for a phone to trust; no secret. */
    @GetMapping("/authority.crt")
    ResponseEntity<byte[]> authority() {
        inTheHouse();
        try {
            return ResponseEntity.ok()
                    .contentType(AUTHORITY)
                    .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"sallowbrook.crt\"")
                    .body(network.authority().certificate().getEncoded());
        } catch (CertificateEncodingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Whoever gets this answer over https trusts the machine. Any page may ask; there is nothing in it. */
    @GetMapping("/here")
    ResponseEntity<Void> here() {
        inTheHouse();
        return ResponseEntity.status(HttpStatus.NO_CONTENT)
                .header(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*")
                .cacheControl(CacheControl.noStore())
                .build();
    }

    private void inTheHouse() {
        if (!network.listens()) {
            throw new Problem.NotFound("house network");
        }
    }
}
