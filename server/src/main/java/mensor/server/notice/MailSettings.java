package mensor.server.notice;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where mail goes, and how its links begin; set by MENSOR_MAIL_HOST and its like. */
@Component
class MailSettings {
    private final String host;
    private final int port;
    private final String user;
    private final String passwordFile;
    private final boolean tls;
    private final String from;
    private final String address;

    MailSettings(
            @Value("${mensor.mail.host}") String host,
            @Value("${mensor.mail.port}") int port,
            @Value("${mensor.mail.user}") String user,
            @Value("${mensor.mail.password-file}") String passwordFile,
            @Value("${mensor.mail.tls}") boolean tls,
            @Value("${mensor.mail.from}") String from,
            @Value("${mensor.address}") String address) {
        this.host = host;
        this.port = port;
        this.user = user;
        this.passwordFile = passwordFile;
        this.tls = tls;
        this.from = from;
        this.address = address.replaceAll("/+$", "");
    }

    String host() {
        return host;
    }

    int port() {
        return port;
    }

    String user() {
        return user;
    }

    String passwordFile() {
        return passwordFile;
    }

    /** Mail is sent under TLS or not at all. */
    boolean tls() {
        return tls;
    }

    String from() {
        return from;
    }

    String address() {
        return address;
    }
}
