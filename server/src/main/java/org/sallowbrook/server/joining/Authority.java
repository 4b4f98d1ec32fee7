package org.sallowbrook.server.joining;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.math.BigInteger;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Date;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.openssl.jcajce.JcaPKCS8Generator;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.jspecify.annotations.Nullable;

/**
 * The authority of one household. It vouches for this machine's addresses in the house and, by what is written in it, for
 * nothing beyond a house: a phone that trusts it is not open to anybody who takes its key. Keys are readable by their owner only.
 */
final class Authority {

    /** As long as a machine may last; whoever joined need not join again before. */
    static final Duration LASTS = Duration.ofDays(3650);

    /** Phones refuse a machine's certificate of more than 825 days; the common rule of browsers is 398. */
    static final Duration CERTIFICATE_LASTS = Duration.ofDays(397);

    static final Duration RENEWED_BEFORE = Duration.ofDays(60);

    /** A phone whose clock is behind by so much still joins. */
    private static final Duration CLOCKS_BEHIND = Duration.ofDays(2);

    private static final String SIGNED = "SHA256withECDSA";
    private static final int SERIAL_BITS = 126;
    private static final Set<String> OF_A_HOUSE = new LinkedHashSet<>(List.of(
            "127.0.0.0/8", "10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "fc00::/7", "fe80::/10"));

    private record Kept(PrivateKey key, X509Certificate certificate) {}

    private final Path folder;
    private final Clock clock;
    private final Kept authority;
    private final boolean another;
    private @Nullable Kept machine;

    /** Reads the authority kept in a folder, or makes one. @throws IOException where the folder can't be read or written */
    Authority(Path folder, Clock clock) throws IOException {
        this.folder = folder;
        this.clock = clock;
        Files.createDirectories(
                folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
        Kept kept = read("authority");
        boolean stays = kept != null && after(kept, Duration.ZERO);
        authority = stays ? kept : write("authority", makeAuthority());
        machine = read("machine");
        another = !stays && machine != null;
    }

    X509Certificate certificate() {
        return authority.certificate();
    }

    /** To be compared by eye: the same on the machine and on the phone. */
    String fingerprint() {
        try {
            String hex = HexFormat.of()
                    .withUpperCase()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest(authority.certificate().getEncoded()));
            return hex.replaceAll("(.{4})(?!$)", "$1 ");
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    Instant lasts() {
        return authority.certificate().getNotAfter().toInstant();
    }

    /** Until when the machine's own certificate lasts; it is renewed before. */
    synchronized @Nullable Instant machineLasts() {
        return machine == null ? null : machine.certificate().getNotAfter().toInstant();
    }

    /**
     * The machine's key with its certificate for these addresses and names: the one there is while it fits, else a new one.
     *
     * @return null where the one before still fits and this is not the first asking
     */
    synchronized @Nullable KeyStore renewed(Collection<InetAddress> addresses, Collection<String> names, boolean first)
            throws IOException {
        Kept before = machine;
        boolean fits = before != null
                && after(before, RENEWED_BEFORE)
                && signedByUs(before.certificate())
                && vouched(before.certificate()).containsAll(wanted(addresses, names));
        if (!fits) {
            before = write("machine", makeMachine(addresses, names));
            machine = before;
        } else if (!first) {
            return null;
        }
        try {
            KeyStore store = KeyStore.getInstance("PKCS12");
            store.load(null, null);
            store.setKeyEntry("machine", before.key(), new char[0], new Certificate[] {
                before.certificate(), authority.certificate()
            });
            return store;
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean after(Kept kept, Duration left) {
        return kept.certificate()
                .getNotAfter()
                .toInstant()
                .isAfter(clock.instant().plus(left));
    }

    private boolean signedByUs(X509Certificate certificate) {
        try {
            certificate.verify(authority.certificate().getPublicKey());
            return true;
        } catch (GeneralSecurityException e) {
            return false;
        }
    }

    private static Set<String> wanted(Collection<InetAddress> addresses, Collection<String> names) {
        Set<String> wanted = new LinkedHashSet<>(names);
        addresses.forEach(a -> wanted.add(a.getHostAddress()));
        return wanted;
    }

    private static Set<String> vouched(X509Certificate certificate) {
        Set<String> vouched = new LinkedHashSet<>();
        try {
            for (List<?> name : certificate.getSubjectAlternativeNames()) {
                String said = String.valueOf(name.get(1));
                vouched.add(said.contains(":") ? InetAddress.getByName(said).getHostAddress() : said);
            }
        } catch (GeneralSecurityException | UnknownHostException e) {
            return Set.of();
        }
        return vouched;
    }

    private Kept makeAuthority() throws IOException {
        KeyPair pair = pair();
        X500Name name = new X500Name(
                "CN=Sallowbrook of this house " + clock.instant().toString().substring(0, 10));
        GeneralSubtree[] house = Stream.concat(
                        OF_A_HOUSE.stream().map(a -> new GeneralName(GeneralName.iPAddress, a)),
                        Stream.of("local", "localhost").map(n -> new GeneralName(GeneralName.dNSName, n)))
                .map(GeneralSubtree::new)
                .toArray(GeneralSubtree[]::new);
        return make(pair, name, pair.getPrivate(), name, LASTS, b -> {
            b.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
            b.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
            // Not critical: a phone that does not know it would trust nothing at all of this house.
            b.addExtension(Extension.nameConstraints, false, new NameConstraints(house, null));
        });
    }

    private Kept makeMachine(Collection<InetAddress> addresses, Collection<String> names) throws IOException {
        GeneralName[] all = Stream.of(
                        addresses.stream().map(a -> new GeneralName(GeneralName.iPAddress, a.getHostAddress())),
                        names.stream().map(n -> new GeneralName(GeneralName.dNSName, n)),
                        Stream.of(
                                new GeneralName(GeneralName.iPAddress, "127.0.0.1"),
                                new GeneralName(GeneralName.dNSName, "localhost")))
                .flatMap(s -> s)
                .toArray(GeneralName[]::new);
        X500Name issuer = X500Name.getInstance(
                authority.certificate().getSubjectX500Principal().getEncoded());
        return make(pair(), new X500Name("CN=Sallowbrook"), authority.key(), issuer, CERTIFICATE_LASTS, b -> {
            b.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
            b.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
            b.addExtension(Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
            b.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(all));
            b.addExtension(
                    Extension.authorityKeyIdentifier,
                    false,
                    new JcaX509ExtensionUtils()
                            .createAuthorityKeyIdentifier(
                                    authority.certificate().getPublicKey()));
        });
    }

    private interface Extensions {
        void add(X509v3CertificateBuilder builder) throws IOException, GeneralSecurityException;
    }

    private Kept make(KeyPair pair, X500Name of, PrivateKey by, X500Name issuer, Duration lasts, Extensions extensions)
            throws IOException {
        Instant now = clock.instant();
        try {
            PublicKey key = pair.getPublic();
            X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    issuer,
                    new BigInteger(SERIAL_BITS, new SecureRandom()),
                    Date.from(now.minus(CLOCKS_BEHIND)),
                    Date.from(now.plus(lasts)),
                    of,
                    key);
            builder.addExtension(
                    Extension.subjectKeyIdentifier, false, new JcaX509ExtensionUtils().createSubjectKeyIdentifier(key));
            extensions.add(builder);
            X509CertificateHolder made = builder.build(new JcaContentSignerBuilder(SIGNED).build(by));
            return new Kept(pair.getPrivate(), new JcaX509CertificateConverter().getCertificate(made));
        } catch (GeneralSecurityException | OperatorCreationException e) {
            throw new IllegalStateException("making a certificate", e);
        }
    }

    private static KeyPair pair() {
        try {
            KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
            generator.initialize(new ECGenParameterSpec("secp256r1"));
            return generator.generateKeyPair();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Key and certificate in one file, so that one is never there without the other. @return null where there is none */
    private @Nullable Kept read(String name) throws IOException {
        Path file = folder.resolve(name + ".pem");
        if (!Files.exists(file)) {
            return null;
        }
        try (PEMParser pem = new PEMParser(new StringReader(Files.readString(file)))) {
            if (pem.readObject() instanceof PrivateKeyInfo key
                    && pem.readObject() instanceof X509CertificateHolder certificate) {
                return new Kept(
                        new JcaPEMKeyConverter().getPrivateKey(key),
                        new JcaX509CertificateConverter().getCertificate(certificate));
            }
        } catch (GeneralSecurityException e) {
            throw new IOException(file + " can't be read: " + e.getMessage(), e);
        }
        throw new IOException(
                file + " holds no key with its certificate. Put the copy of it back, or delete it: a new one is"
                        + " made then, and every phone joins again");
    }

    private Kept write(String name, Kept made) throws IOException {
        StringWriter text = new StringWriter();
        try (JcaPEMWriter pem = new JcaPEMWriter(text)) {
            pem.writeObject(new JcaPKCS8Generator(made.key(), null));
            pem.writeObject(made.certificate());
        }
        Path part = Files.createTempFile(
                folder,
                name,
                ".part",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(part, text.toString());
        Files.move(
                part,
                folder.resolve(name + ".pem"),
                StandardCopyOption.ATOMIC_MOVE,
                StandardCopyOption.REPLACE_EXISTING);
        return made;
    }

    /** Whether it was made at this start in place of another, which phones trust and it does not help them. */
    boolean isAnother() {
        return another;
    }
}
