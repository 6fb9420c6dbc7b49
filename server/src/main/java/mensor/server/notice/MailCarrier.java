package mensor.server.notice;

/** Takes a mail on its way; a fault is thrown. */
interface MailCarrier {
    /** Off, simulated or smtp. */
    String mode();

    void send(String to, String subject, String text);
}
