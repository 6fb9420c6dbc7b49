package mensor.server.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.internet.MimeMessage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mail.MailException;

/** Mail over SMTP, to a server of another make (GreenMail). */
class SmtpCarrierTest {
    private final GreenMail server = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));

    @BeforeEach
    void start() {
        server.start();
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    private SmtpCarrier carrier(boolean tls) {
        return new SmtpCarrier(new MailSettings(
                "127.0.0.1",
                server.getSmtp().getPort(),
                "",
                "",
                tls,
                "mensor@shop.example",
                "https://mensor.shop.example"));
    }

    @Test
    void aMailArrivesAsItWasSent() throws Exception {
        carrier(false)
                .send("rufus@shop.example", "Mensor: a reject waits for you", "See to it here: https://x.example/1");
        MimeMessage[] got = server.getReceivedMessages();
        assertThat(got).hasSize(1);
        assertThat(got[0].getSubject()).isEqualTo("Mensor: a reject waits for you");
        assertThat(got[0].getAllRecipients()[0]).hasToString("rufus@shop.example");
        assertThat(got[0].getFrom()[0]).hasToString("mensor@shop.example");
        assertThat(got[0].getContent().toString()).contains("https://x.example/1");
    }

    @Test
    void withoutTlsNothingIsSentWhereItIsAsked() {
        SmtpCarrier carrier = carrier(true);
        assertThatThrownBy(() -> carrier.send("rufus@shop.example", "a", "b")).isInstanceOf(MailException.class);
        assertThat(server.getReceivedMessages()).isEmpty();
    }
}
