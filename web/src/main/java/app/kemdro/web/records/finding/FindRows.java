package app.kemdro.web.records.finding;

import app.kemdro.web.parts.data.Containing;
import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Asks for what can be found. */
@Repository
class FindRows {
    private final EntityManager data;

    FindRows(EntityManager data) {
        this.data = data;
    }

    /** A job whose text holds what was looked for. */
    record Row(long job, String title, String performer, String lines) {}

    /** Jobs in whose text all of these stand, the latest call first. */
    List<Row> holding(List<String> low, int from, int most) {
        Containing words = new Containing(low);
        return words.given(data.createQuery(
                        "select new app.kemdro.web.records.finding.FindRows$Row(j.id, j.title, p.name, t.lines)"
                                + " from FindText t join Job j on j.id = t.jobId join j.performer p where j.setAside is null"
                                + words.of("t.low") + " order by j.callAt desc, j.id desc",
                        Row.class))
                .setFirstResult(from)
                .setMaxResults(most)
                .getResultList();
    }

    /** A job that is to be read, and how much of it. */
    record Unread(long job, int changes) {}

    /** Jobs that are to be read, the latest first. */
    List<Unread> unread(int most) {
        return data.createQuery(
                        "select new app.kemdro.web.records.finding.FindRows$Unread(t.jobId, t.unread) from FindText t"
                                + " where t.unread > 0 order by t.jobId desc",
                        Unread.class)
                .setMaxResults(most)
                .getResultList();
    }

    long countUnread() {
        return data.createQuery("select count(t) from FindText t where t.unread > 0", Long.class)
                .getSingleResult();
    }

    /** What another build has read is read again: a technique or a zone may be called otherwise now. */
    @Transactional
    void readBy(String build) {
        data.createQuery("update FindText t set t.unread = 1 where t.build <> :build and t.unread = 0")
                .setParameter("build", build)
                .executeUpdate();
    }

    /** Something in this job is not what was read. */
    @Transactional
    void changed(long job) {
        if (data.createQuery("update FindText t set t.unread = t.unread + 1 where t.jobId = :job")
                        .setParameter("job", job)
                        .executeUpdate()
                == 0) {
            data.persist(new FindText(job));
        }
    }

    /** The same of every job for which this person sits. */
    @Transactional
    void changedOf(long performer) {
        data.createQuery("update FindText t set t.unread = t.unread + 1 where t.jobId in"
                        + " (select j.id from Job j where j.performer.id = :performer)")
                .setParameter("performer", performer)
                .executeUpdate();
    }

    /** Keeps what was read of a job, unless more has changed meanwhile: then it is read once more. */
    @Transactional
    void keep(Unread read, String build, String low, String lines) {
        data.createQuery("update FindText t set t.unread = 0, t.build = :build, t.low = :low, t.lines = :lines"
                        + " where t.jobId = :job and t.unread = :changes")
                .setParameter("build", build)
                .setParameter("low", low)
                .setParameter("lines", lines)
                .setParameter("job", read.job())
                .setParameter("changes", read.changes())
                .executeUpdate();
    }

    /** Keeps nothing of a job until it is read again. */
    @Transactional
    void forget(long job) {
        data.createQuery(
                        "update FindText t set t.unread = t.unread + 1, t.low = '', t.lines = '[]' where t.jobId = :job")
                .setParameter("job", job)
                .executeUpdate();
    }
}
