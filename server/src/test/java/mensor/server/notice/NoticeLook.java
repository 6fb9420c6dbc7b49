package mensor.server.notice;

import org.springframework.context.ApplicationContext;

/** Looks for what must be told at once, as the clock does now and then. */
public final class NoticeLook {
    private NoticeLook() {}

    public static void now(ApplicationContext running) {
        running.getBean(NoticeSweep.class).look();
        running.getBean(Mails.class).sendNow();
    }
}
