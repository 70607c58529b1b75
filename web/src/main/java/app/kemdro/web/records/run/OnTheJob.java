package app.kemdro.web.records.run;

import app.kemdro.web.parts.live.MayListen;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.Called;
import app.kemdro.web.records.job.InCrew;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.NoSuchJob;
import java.security.Principal;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;

/**
 * A lead sees every job; hands see those on which they work: their name stands in the brief, or they joined the run that is on. A
 * performer's health stands on almost every page of a job, so that none is shown to anybody else.
 */
@Component
public class OnTheJob implements AuthorizationManager<RequestAuthorizationContext>, MayListen {
    private final Jobs jobs;
    private final Runs runs;
    private final Accounts accounts;

    OnTheJob(Jobs jobs, Runs runs, Accounts accounts) {
        this.jobs = jobs;
        this.runs = runs;
        this.accounts = accounts;
    }

    @Override
    public AuthorizationDecision authorize(
            Supplier<? extends @Nullable Authentication> who, RequestAuthorizationContext request) {
        Authentication somebody = who.get();
        return new AuthorizationDecision(somebody != null
                && somebody.isAuthenticated()
                && may(somebody, request.getVariables().get("job")));
    }

    /** Whether somebody sees a job. */
    public boolean sees(Authentication who, Job job) {
        return Accounts.isLead(who) || Accounts.isHands(who) && worksOn(job, who.getName());
    }

    /** Those of these jobs that somebody sees. */
    public Set<Long> seen(Authentication who, Set<Long> ids) {
        if (Accounts.isLead(who) || ids.isEmpty()) {
            return ids;
        }
        if (!Accounts.isHands(who)) {
            return Set.of();
        }
        Called called = accounts.called();
        Set<Long> seen = jobs.crews(ids).stream()
                .filter(c -> called.is(who.getName(), c.hands()))
                .map(InCrew::job)
                .collect(Collectors.toSet());
        runs.openJobs().stream()
                .filter(ids::contains)
                .filter(id -> joined(called, who.getName(), id))
                .forEach(seen::add);
        return seen;
    }

    @Override
    public boolean mayListen(Principal who, long job) {
        return who instanceof Authentication somebody
                && accounts.isThere(somebody.getName())
                && sees(somebody, jobs.get(job));
    }

    private boolean may(Authentication who, @Nullable String job) {
        if (Accounts.isLead(who)) {
            return true;
        }
        try {
            return job != null && job.matches("\\d{1,18}") && sees(who, jobs.get(Long.parseLong(job)));
        } catch (NoSuchJob e) {
            return false;
        }
    }

    private boolean worksOn(Job job, String account) {
        Called called = accounts.called();
        return job.brief().crew().stream().anyMatch(h -> called.is(account, h.name()))
                || joined(called, account, job.id());
    }

    private boolean joined(Called called, String account, long job) {
        return runs.joined(job).stream().anyMatch(name -> called.is(account, name));
    }
}
