package org.sallowbrook.server.joining;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.KeyStore;
import java.security.cert.CertPathValidator;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateFactory;
import java.security.cert.PKIXParameters;
import java.security.cert.TrustAnchor;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The household's own authority: what it vouches for, for how long, and who can read its keys. */
public class AuthorityTest {

    private static final Instant MADE = Instant.parse("2026-11-30T10:00:00Z");

    private Path folder;

    @BeforeMethod
    public void folder() throws IOException {
        folder = Files.createTempDirectory("authority").resolve("home");
    }

    private Authority at(Instant now) throws IOException {
        return new Authority(folder, Clock.fixed(now, ZoneOffset.UTC));
    }

    private static List<InetAddress> addresses(String... written) throws IOException {
        List<InetAddress> all = new java.util.ArrayList<>();
        for (String address : written) {
            all.add(InetAddress.getByName(address));
        }
        return all;
    }

    /** By the platform's own checker of chains, which knows nothing of ours. */
    private static void check(Authority authority, KeyStore machine, Instant on) throws Exception {
        // The authority stands in the chain too: of an anchor alone the platform reads no constraints.
        PKIXParameters trusts = new PKIXParameters(Set.of(new TrustAnchor(
                authority.certificate().getSubjectX500Principal(),
                authority.certificate().getPublicKey(),
                null)));
        trusts.setRevocationEnabled(false);
        trusts.setDate(Date.from(on));
        CertPathValidator.getInstance("PKIX")
                .validate(
                        CertificateFactory.getInstance("X.509")
                                .generateCertPath(List.of(machine.getCertificateChain("machine"))),
                        trusts);
    }

    private static List<String> names(X509Certificate certificate) throws Exception {
        return certificate.getSubjectAlternativeNames().stream()
                .map(n -> String.valueOf(n.get(1)))
                .toList();
    }

    @Test
    public void itVouchesForTheHouse() throws Exception {
        Authority authority = at(MADE);
        KeyStore machine =
                authority.renewed(addresses("192.168.7.20", "fd12:3456::1"), List.of("brookhouse.local"), true);
        check(authority, machine, MADE);
        X509Certificate certificate = (X509Certificate) machine.getCertificate("machine");
        assertThat(names(certificate)).contains("192.168.7.20", "brookhouse.local", "127.0.0.1");
        // What phones ask of a certificate that a person trusted by hand.
        assertThat(certificate.getExtendedKeyUsage()).containsExactly("1.3.6.1.5.5.7.3.1");
        assertThat(Duration.between(
                        certificate.getNotBefore().toInstant(),
                        certificate.getNotAfter().toInstant()))
                .isLessThan(Duration.ofDays(825));
    }

    @DataProvider
    public Object[][] beyond() throws IOException {
        return new Object[][] {
            {addresses("93.184.215.14"), List.of()},
            {addresses("2001:db8::1"), List.of()},
            {addresses(), List.of("bank.example")},
        };
    }

    /** Whoever steals its key can't pass for a place beyond a house. */
    @Test(dataProvider = "beyond")
    public void itVouchesForNothingBeyond(List<InetAddress> addresses, List<String> names) throws Exception {
        Authority authority = at(MADE);
        KeyStore machine = authority.renewed(addresses, names, true);
        assertThatThrownBy(() -> check(authority, machine, MADE)).isInstanceOf(CertPathValidatorException.class);
    }

    @Test
    public void itsKeysAreTheOwnersAlone() throws Exception {
        at(MADE).renewed(addresses("192.168.7.20"), List.of(), true);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
                .isEqualTo("rwx------");
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.toList())
                    .hasSize(2)
                    .allSatisfy(f -> assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(f)))
                            .isEqualTo("rw-------"));
        }
    }

    @Test
    public void phonesThatJoinedNeedNotJoinAgain() throws Exception {
        Authority first = at(MADE);
        // Nobody trusted another before.
        assertThat(first.isAnother()).isFalse();
        KeyStore machine = first.renewed(addresses("192.168.7.20"), List.of(), true);
        Authority again = at(MADE.plus(Duration.ofDays(3000)));
        assertThat(again.isAnother()).isFalse();
        assertThat(again.fingerprint()).isEqualTo(first.fingerprint());
        // The machine's own came of age meanwhile.
        KeyStore later = again.renewed(addresses("192.168.7.20"), List.of(), true);
        assertThat(later.getCertificate("machine")).isNotEqualTo(machine.getCertificate("machine"));
        check(first, later, MADE.plus(Duration.ofDays(3001)));
    }

    @Test
    public void itIsRenewedWhenTheAddressChanges() throws Exception {
        Authority authority = at(MADE);
        authority.renewed(addresses("192.168.7.20"), List.of(), true);
        assertThat(authority.renewed(addresses("192.168.7.20"), List.of(), false))
                .isNull();
        KeyStore moved = authority.renewed(addresses("192.168.7.33"), List.of(), false);
        check(authority, moved, MADE);
        assertThat(names((X509Certificate) moved.getCertificate("machine")))
                .contains("192.168.7.33")
                .doesNotContain("192.168.7.20");
    }

    @Test
    public void anEndedOrDeletedAuthorityIsMadeAnew() throws Exception {
        Authority before = at(MADE);
        before.renewed(addresses("192.168.7.20"), List.of(), true);
        String first = before.fingerprint();
        Authority ended = at(MADE.plus(Authority.LASTS).plusSeconds(1));
        assertThat(ended.isAnother()).isTrue();
        assertThat(ended.fingerprint()).isNotEqualTo(first);
        Files.delete(folder.resolve("authority.pem"));
        Authority anew = at(MADE.plus(Authority.LASTS).plusSeconds(2));
        assertThat(anew.isAnother()).isTrue();
        // The machine's was vouched for by the one before.
        check(anew, anew.renewed(addresses("192.168.7.20"), List.of(), true), MADE.plus(Authority.LASTS));
    }

    @Test
    public void aBrokenFileIsSaid() throws Exception {
        at(MADE);
        Files.writeString(folder.resolve("authority.pem"), "half of it");
        assertThatThrownBy(() -> at(MADE))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("authority.pem")
                .hasMessageContaining("every phone joins again");
    }
}
