package mensor.server.notice;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;

/** The shop's mail server. */
final class SmtpCarrier implements MailCarrier {
    private static final String PATIENCE_MS = "15000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String from;

    SmtpCarrier(MailSettings settings) {
        this.from = settings.from();
        sender.setHost(settings.host());
        sender.setPort(settings.port());
        Properties p = sender.getJavaMailProperties();
        if (!settings.user().isEmpty()) {
            sender.setUsername(settings.user());
            sender.setPassword(password(settings.passwordFile()));
            p.put("mail.smtp.auth", "true");
        }
        p.put("mail.smtp.starttls.enable", "true");
        p.put("mail.smtp.starttls.required", String.valueOf(settings.tls()));
        for (String wait : new String[] {"connectiontimeout", "timeout", "writetimeout"}) {
            p.put("mail.smtp." + wait, PATIENCE_MS);
        }
    }

    private static String password(String file) {
        try {
            return Files.readString(Path.of(file)).strip();
        } catch (IOException e) {
            throw new UncheckedIOException("the mail server's password cannot be read from " + file, e);
        }
    }

    @Override
    public String mode() {
        return "smtp";
    }

    @Override
    public void send(String to, String subject, String text) {
        SimpleMailMessage mail = new SimpleMailMessage();
        mail.setFrom(from);
        mail.setTo(to);
        mail.setSubject(subject);
        mail.setText(text);
        sender.send(mail);
    }
}
