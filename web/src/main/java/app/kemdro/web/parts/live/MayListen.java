package app.kemdro.web.parts.live;

import java.security.Principal;

/** Whether somebody may still hear of a job: asked again for as long as their screen listens. */
public interface MayListen {
    boolean mayListen(Principal who, long job);
}
