package org.sallowbrook.server.joining;

import java.io.IOException;
import java.net.DatagramSocket;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Under what this machine is reached in its house. */
@Component
class Addresses {

    /** Of nobody, by RFC 5737: asked for the way there, the machine says by which of its addresses it leaves. Nothing is sent. */
    private static final String NOBODY = "192.0.2.1";

    private static final int ANY_PORT = 9;

    private final Home home;

    Addresses(Home home) {
        this.home = home;
    }

    /** The one it is best reached by first; empty where it is in no network. */
    List<InetAddress> inTheHouse() {
        if (!home.address().isEmpty()) {
            try {
                return List.of(InetAddress.getByName(home.address()));
            } catch (UnknownHostException e) {
                return List.of();
            }
        }
        Set<InetAddress> found = new LinkedHashSet<>();
        try (DatagramSocket way = new DatagramSocket()) {
            way.connect(new InetSocketAddress(NOBODY, ANY_PORT));
            if (isOfAHouse(way.getLocalAddress())) {
                found.add(way.getLocalAddress());
            }
        } catch (IOException | RuntimeException e) {
            // In no network, or in one that leads nowhere: what its cards say stands below.
            found.clear();
        }
        try {
            for (NetworkInterface card : Collections.list(NetworkInterface.getNetworkInterfaces())) {
                if (card.isUp() && !card.isLoopback()) {
                    Collections.list(card.getInetAddresses()).stream()
                            .filter(a -> isOfAHouse(a) && !a.isLoopbackAddress())
                            .map(Addresses::withoutCard)
                            .forEach(found::add);
                }
            }
        } catch (SocketException e) {
            found.clear();
        }
        return found.stream()
                // Of one card alone: to be written with its name, which is another on each phone.
                .filter(a -> !(a instanceof Inet6Address) || !a.isLinkLocalAddress())
                // The short ones first: they are typed by hand.
                .sorted(Comparator.comparingInt(a -> a.getAddress().length))
                .toList();
    }

    /** What the machine calls itself in the house, where something on it answers for the name; nothing else is promised. */
    List<String> names() {
        List<String> names = new ArrayList<>();
        try {
            String own = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            String local = own.contains(".") ? own : own + ".local";
            if (local.matches("[a-z0-9-]+(\\.[a-z0-9-]+)*\\.local")) {
                names.add(local);
            }
        } catch (UnknownHostException e) {
            return List.of();
        }
        return names;
    }

    /** Whether the name leads here by multicast. */
    boolean answers(String name) {
        try {
            return inTheHouse().contains(InetAddress.getByName(name));
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** An address that no router carries beyond the house. */
    static boolean isOfAHouse(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean uniqueLocal = bytes.length == 16 && (bytes[0] & 0xfe) == 0xfc;
        return address.isLoopbackAddress()
                || address.isSiteLocalAddress()
                || address.isLinkLocalAddress()
                || uniqueLocal;
    }

    private static InetAddress withoutCard(InetAddress address) {
        try {
            return InetAddress.getByAddress(address.getAddress());
        } catch (UnknownHostException e) {
            throw new IllegalStateException(e);
        }
    }
}
