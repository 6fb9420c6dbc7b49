package mensor.server.demo;

import mensor.server.notice.NoticeSweep;
import mensor.server.notice.NoticeView;
import mensor.server.notice.Notices;
import mensor.server.people.People;
import org.springframework.stereotype.Component;

/** The demo begins with a few notices for each, not with a whole shop's of one morning. */
@Component
class DemoNotices {
    private static final int LEFT = 4;

    private final NoticeSweep sweep;
    private final Notices notices;
    private final People people;

    DemoNotices(NoticeSweep sweep, Notices notices, People people) {
        this.sweep = sweep;
        this.notices = notices;
        this.people = people;
    }

    void load() {
        sweep.look();
        people.all().forEach(a -> {
            for (NoticeView told = notices.unseen(a.id()); told.count() > LEFT; told = notices.unseen(a.id())) {
                told.notices().stream().skip(LEFT).forEach(n -> notices.see(a.id(), n.id()));
            }
        });
    }
}
