package mensor.server.history;

import mensor.server.people.Actor;
import org.hibernate.envers.RevisionListener;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Puts the person who is signed in to each change. */
class ChangeAuthor implements RevisionListener {
    @Override
    public void newRevision(Object revision) {
        Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (revision instanceof Revision r && signedIn != null && signedIn.getPrincipal() instanceof Actor actor) {
            r.by(actor.id());
        }
    }
}
