package org.sallowbrook.server.joining;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.security.KeyStore;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Listens in the house where the machine was started for it: over https for all, over http for joining alone. */
@Component
@EnableConfigurationProperties(Home.class)
class HouseNetwork implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final Logger LOG = LoggerFactory.getLogger(HouseNetwork.class);

    private static final String COMPRESSED =
            "application/json,application/problem+json,text/html,text/css,text/javascript,"
                    + "application/javascript,image/svg+xml";
    private static final int THREADS = 64;

    private final Home home;
    private final Addresses addresses;
    private @Nullable Authority authority;
    private final SSLHostConfig host = new SSLHostConfig();
    private final SSLHostConfigCertificate certificate =
            new SSLHostConfigCertificate(host, SSLHostConfigCertificate.Type.EC);
    private @Nullable Connector https;

    HouseNetwork(Home home, Addresses addresses) {
        this.home = home;
        this.addresses = addresses;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (!home.listens()) {
            return;
        }
        try {
            // The demo's simulated day is not the phones'.
            authority = new Authority(home.folder(), Clock.systemUTC());
            renew(true);
        } catch (IOException e) {
            throw new UncheckedIOException("the authority in " + home.folder() + ": " + e.getMessage(), e);
        }
        https = connector(home.port());
        https.setSecure(true);
        https.setScheme("https");
        https.setProperty("SSLEnabled", "true");
        host.setProtocols("TLSv1.2+TLSv1.3");
        host.addCertificate(certificate);
        https.addSslHostConfig(host);
        factory.addAdditionalConnectors(https, connector(home.plainPort()));
    }

    private Connector connector(int port) {
        Connector connector = new Connector(TomcatServletWebServerFactory.DEFAULT_PROTOCOL);
        connector.setPort(port);
        connector.setThrowOnFailure(true);
        if (!home.address().isEmpty()) {
            connector.setProperty("address", home.address());
        }
        connector.setProperty("maxThreads", String.valueOf(THREADS));
        connector.setProperty("compression", "on");
        connector.setProperty("compressibleMimeType", COMPRESSED);
        return connector;
    }

    /** The house may have given the machine another address, and its certificate comes of age. */
    @Scheduled(fixedDelay = 600_000, initialDelay = 600_000)
    void renew() {
        if (https != null) {
            try {
                if (renew(false) && https.getProtocolHandler() instanceof AbstractHttp11Protocol<?> protocol) {
                    protocol.reloadSslHostConfigs();
                    LOG.info("a new certificate for {}", addresses.inTheHouse());
                }
            } catch (IOException e) {
                LOG.error("the machine's certificate was not renewed", e);
            }
        }
    }

    private boolean renew(boolean first) throws IOException {
        List<String> names = new ArrayList<>(addresses.names());
        KeyStore store = authority().renewed(addresses.inTheHouse(), names, first);
        if (store == null) {
            return false;
        }
        certificate.setCertificateKeystore(store);
        certificate.setCertificateKeyAlias("machine");
        certificate.setCertificateKeyPassword("");
        return true;
    }

    Authority authority() {
        if (authority == null) {
            throw new IllegalStateException("it does not listen in the house");
        }
        return authority;
    }

    boolean listens() {
        return authority != null;
    }

    /** As an address is written in a link. */
    static String written(InetAddress address) {
        String host = address.getHostAddress();
        return host.contains(":") ? "[" + host.replaceFirst("(^|:)0(:0)+(:|$)", "::") + "]" : host;
    }

    /** Under what a phone finds the machine, the best first; that of the machine itself where it is in no network. */
    List<String> hosts() {
        List<String> hosts = new ArrayList<>(
                addresses.inTheHouse().stream().map(HouseNetwork::written).toList());
        addresses.names().stream().filter(addresses::answers).forEach(hosts::add);
        return hosts;
    }
}
