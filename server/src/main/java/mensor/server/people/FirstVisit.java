package mensor.server.people;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Who may make the quality manager of an empty Mensor. On this machine alone: whoever comes first. Where the network can reach
 * it: who has the code that the start prints.
 */
@Component
public class FirstVisit {
    /** Without letters and digits that look alike. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 10;

    private final String code;
    private final boolean onNetwork;

    FirstVisit(@Value("${server.address:}") String address) {
        this.onNetwork = !isLoopback(address);
        this.code = onNetwork
                ? new SecureRandom()
                        .ints(LENGTH, 0, LETTERS.length())
                        .mapToObj(i -> LETTERS.substring(i, i + 1))
                        .reduce("", String::concat)
                : null;
    }

    private static boolean isLoopback(String address) {
        try {
            return !address.isBlank() && InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** Whether other machines can reach this one. */
    public boolean isOnNetwork() {
        return onNetwork;
    }

    /** What the first visitor must know; nothing where only this machine can visit. */
    public Optional<String> code() {
        return Optional.ofNullable(code);
    }

    boolean mayCome(String given) {
        return code == null
                || given != null
                        && MessageDigest.isEqual(
                                code.getBytes(),
                                given.strip().toUpperCase(Locale.ROOT).getBytes());
    }
}
