package app.kemdro.web.records.shelf;

import app.kemdro.web.parts.data.Containing;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Asks for jobs as rows, not as whole jobs: the shelf needs ten values of each, whatever lies on the body. */
@Repository
class ShelfRows {
    private static final String ON_SHELF = "j.setAside is null";
    private static final String FROM = " and j.callAt >= :at and (j.callAt > :at or j.id >= :id)";
    private static final String BEFORE = " and j.callAt <= :at and (j.callAt < :at or j.id < :id)";
    private static final String FORWARDS = " order by j.callAt, j.id";
    private static final String BACKWARDS = " order by j.callAt desc, j.id desc";

    private final EntityManager data;

    ShelfRows(EntityManager data) {
        this.data = data;
    }

    /**
     * One job, with what was kept of it.
     *
     * @param lift the last block that was lifted
     * @param run the run that is on
     * @param stock rises with everything that is added to the products of the house or changed in them; none is ever taken out
     */
    record Row(
            long id,
            String title,
            String production,
            String performer,
            LocalDateTime call,
            long version,
            long performerVersion,
            @Nullable Long lift,
            @Nullable Long run,
            long stock,
            @Nullable ShelfLine line) {

        /** As the job says it of itself. */
        String jobVersion() {
            return version + "." + performerVersion;
        }

        /** Versions of the job and of who sits, and the last block that was lifted. */
        String madeOf() {
            return jobVersion() + "." + (lift == null ? 0 : lift);
        }
    }

    /** Where a job stands. */
    record At(long id, LocalDateTime call) {
        boolean isBefore(Place place) {
            return call.isBefore(place.at()) || call.equals(place.at()) && id < place.job();
        }
    }

    /** Jobs from a place on, the soonest first. */
    List<At> from(Place place, int most) {
        return at("", FROM + FORWARDS, place, most).getResultList();
    }

    /** Jobs before a place, the latest first. */
    List<At> before(Place place, int most) {
        return at("", BEFORE + BACKWARDS, place, most).getResultList();
    }

    /**
     * Jobs before a place in whose name or production all of these words stand, the latest first.
     *
     * @param names whether they may stand in the performer's name as well
     */
    List<At> holding(List<String> words, boolean names, Place place, int most) {
        Containing held = new Containing(words);
        return held.given(at(
                        " join j.performer p",
                        held.of("lower(concat(j.title, ' ', " + (names ? "p.name, ' ', " : "") + "j.production))")
                                + BEFORE
                                + BACKWARDS,
                        place,
                        most))
                .getResultList();
    }

    private TypedQuery<At> at(String join, String where, Place place, int most) {
        return data.createQuery(
                        "select new app.kemdro.web.records.shelf.ShelfRows$At(j.id, j.callAt) from Job j" + join
                                + " where " + ON_SHELF + where,
                        At.class)
                .setParameter("at", place.at())
                .setParameter("id", place.job())
                .setMaxResults(most);
    }

    /** Jobs for which somebody sits now, the soonest call first. */
    List<At> running() {
        return data.createQuery(
                        "select new app.kemdro.web.records.shelf.ShelfRows$At(j.id, j.callAt) from Run r"
                                + " join Job j on j.id = r.jobId where r.endedAt is null and " + ON_SHELF + FORWARDS,
                        At.class)
                .getResultList();
    }

    /** These jobs, in this order. What is worked out of each is worked out of these only. */
    List<Row> rows(List<At> jobs) {
        List<Long> ids = jobs.stream().map(At::id).toList();
        return data
                .createQuery(
                        "select new app.kemdro.web.records.shelf.ShelfRows$Row(j.id, j.title, j.production, p.name, j.callAt,"
                                + " j.version, p.version, (select max(s.id) from SafetyLift s where s.jobId = j.id),"
                                + " (select max(r.id) from Run r where r.jobId = j.id and r.endedAt is null),"
                                + " (select count(a) + coalesce(sum(a.version), 0) from Product a), l)"
                                + " from Job j join j.performer p left join ShelfLine l on l.jobId = j.id where j.id in :ids",
                        Row.class)
                .setParameter("ids", ids)
                .getResultList()
                .stream()
                .sorted(Comparator.comparingInt(r -> ids.indexOf(r.id())))
                .toList();
    }

    /** This job, set aside or not. */
    Optional<Row> of(long job) {
        return rows(List.of(new At(job, LocalDateTime.MIN))).stream().findFirst();
    }

    /** A chair-in, on the line of a job with this call. */
    record ChairIn(LocalDateTime at, LocalDateTime call) {}

    /** The soonest chair-in of all jobs that is still to come. */
    Optional<ChairIn> nextChairIn(LocalDateTime now) {
        return data
                .createQuery(
                        "select l.chairIn, j.callAt from ShelfLine l join Job j on j.id = l.jobId where l.chairIn > :now and "
                                + ON_SHELF + " order by l.chairIn",
                        ChairIn.class)
                .setParameter("now", now)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst();
    }

    /** Jobs whose call is still to come and of which nothing is kept that was made of this version of them; the soonest first. */
    List<Long> unmade(LocalDateTime now, String build, int most) {
        return data.createQuery(
                        "select j.id from Job j left join ShelfLine l on l.jobId = j.id where " + ON_SHELF
                                + " and j.callAt >= :now and (l is null or l.build <> :build)" + FORWARDS,
                        Long.class)
                .setParameter("now", now)
                .setParameter("build", build)
                .setMaxResults(most)
                .getResultList();
    }

    @Transactional
    void keep(ShelfLine line) {
        data.merge(line);
    }
}
