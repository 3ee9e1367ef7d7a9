package org.logophon.app.services.notifications;

import java.net.InetAddress;
import java.util.Arrays;
import java.util.List;

/** Internet addresses that aren't somebody's on the public net. */
final class SpecialAddresses {

    private static final int IPV4_BYTES = 4;

    /**
     * This network, private, shared, loopback, link-local, protocol assignments, 6to4 relays, benchmarks, multicast,
     * reserved.
     */
    private static final List<Block> INSIDE = List.of(
            Block.of(0, 0, 0, 8),
            Block.of(10, 0, 0, 8),
            Block.of(100, 64, 0, 10),
            Block.of(127, 0, 0, 8),
            Block.of(169, 254, 0, 16),
            Block.of(172, 16, 0, 12),
            Block.of(192, 0, 0, 24),
            Block.of(192, 88, 99, 24),
            Block.of(192, 168, 0, 16),
            Block.of(198, 18, 0, 15),
            Block.of(224, 0, 0, 3));

    private SpecialAddresses() {}

    /**
     * What leads into this machine or a network that isn't everybody's: see the registries of special-purpose addresses
     * (RFC 6890). An IPv6 address that carries one of IPv4 is what it carries.
     */
    static boolean inside(InetAddress address) {
        byte[] bytes = address.getAddress();
        byte[] carried = bytes.length == IPV4_BYTES ? bytes : carried(bytes);
        return address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isAnyLocalAddress()
                || address.isMulticastAddress()
                || bytes.length != IPV4_BYTES && (bytes[0] & 0xfe) == 0xfc
                || carried != null && INSIDE.stream().anyMatch(block -> block.holds(carried));
    }

    /**
     * Null for none: IPv4-compatible and -mapped (RFC 4291), NAT64 (RFC 6052, RFC 8215), 6to4 (RFC 3056), Teredo (RFC
     * 4380).
     */
    private static byte[] carried(byte[] bytes) {
        int first = (bytes[0] & 0xff) << 8 | bytes[1] & 0xff;
        int second = (bytes[2] & 0xff) << 8 | bytes[3] & 0xff;
        boolean zeros = true;
        for (int i = 0; i < 10; i++) {
            zeros &= bytes[i] == 0;
        }
        if (zeros || first == 0x64 && second == 0xff9b) {
            return Arrays.copyOfRange(bytes, 12, 16);
        }
        if (first == 0x2002) {
            return Arrays.copyOfRange(bytes, 2, 6);
        }
        // where nobody is to be called: its own address is hidden in it
        return first == 0x2001 && second == 0 ? new byte[IPV4_BYTES] : null;
    }

    /** A block of IPv4 addresses. */
    private record Block(int address, int bits) {

        static Block of(int a, int b, int c, int bits) {
            return new Block(a << 24 | b << 16 | c << 8, bits);
        }

        boolean holds(byte[] other) {
            int at = (other[0] & 0xff) << 24 | (other[1] & 0xff) << 16 | (other[2] & 0xff) << 8 | other[3] & 0xff;
            return (at ^ address) >>> 32 - bits == 0;
        }
    }
}
