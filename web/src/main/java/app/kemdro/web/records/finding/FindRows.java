package app.kemdro.web.records.finding;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Asks for what can be found. */
@Repository
class FindRows {
    private static final String UNREAD = " from Job j join j.performer p left join FindText t on t.jobId = j.id"
            + " where j.setAside is null and (t is null or t.stale"
            + " or t.madeOf <> concat(:build, ' ', cast(j.version as string), '.', cast(p.version as string)))";

    private final EntityManager data;

    FindRows(EntityManager data) {
        this.data = data;
    }

    /** A job whose text holds what was looked for. */
    record Row(long job, String title, String performer, String lines) {}

    /** Jobs in whose text all of these stand, the latest call first. */
    List<Row> holding(List<String> low, int from, int most) {
        StringBuilder where = new StringBuilder();
        for (int k = 0; k < low.size(); k++) {
            where.append(" and t.low like :w").append(k).append(" escape '!'");
        }
        TypedQuery<Row> query = data.createQuery(
                        "select new app.kemdro.web.records.finding.FindRows$Row(j.id, j.title, p.name, t.lines)"
                                + " from FindText t join Job j on j.id = t.jobId join j.performer p where j.setAside is null"
                                + where + " order by j.callAt desc, j.id desc",
                        Row.class)
                .setFirstResult(from)
                .setMaxResults(most);
        for (int k = 0; k < low.size(); k++) {
            query.setParameter("w" + k, "%" + low.get(k).replaceAll("([!%_])", "!$1") + "%");
        }
        return query.getResultList();
    }

    /** Jobs of which what is kept is not what they say today, the latest first. */
    List<Long> unread(String build, int most) {
        return data.createQuery("select j.id" + UNREAD + " order by j.id desc", Long.class)
                .setParameter("build", build)
                .setMaxResults(most)
                .getResultList();
    }

    long countUnread(String build) {
        return data.createQuery("select count(j)" + UNREAD, Long.class)
                .setParameter("build", build)
                .getSingleResult();
    }

    /** What is said from now on, while it is being read, makes it stale again. */
    @Transactional
    void begin(long job) {
        int there = data.createQuery("update FindText t set t.stale = false where t.jobId = :job")
                .setParameter("job", job)
                .executeUpdate();
        if (there == 0) {
            data.persist(new FindText(job));
        }
    }

    @Transactional
    void keep(long job, String madeOf, String low, String lines) {
        data.createQuery(
                        "update FindText t set t.madeOf = :madeOf, t.low = :low, t.lines = :lines where t.jobId = :job")
                .setParameter("madeOf", madeOf)
                .setParameter("low", low)
                .setParameter("lines", lines)
                .setParameter("job", job)
                .executeUpdate();
    }

    @Transactional
    void stale(long job) {
        data.createQuery("update FindText t set t.stale = true where t.jobId = :job")
                .setParameter("job", job)
                .executeUpdate();
    }

    @Transactional
    void forget(long job) {
        data.createQuery("delete from FindText t where t.jobId = :job")
                .setParameter("job", job)
                .executeUpdate();
    }
}
