package app.kemdro.web.records.school;

import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps every artist's own schools. */
@Service
public class UsualSchools {
    /** Before the id of a question of order, where families of techniques stand otherwise. */
    private static final String ORDER = "order/";

    private final UsualSchoolRepository repository;
    private final Trade trade;

    UsualSchools(UsualSchoolRepository repository, Trade trade) {
        this.repository = repository;
        this.trade = trade;
    }

    /** This artist's schools: the technique's id by family. */
    public Map<String, String> of(String artist) {
        Map<String, String> schools = new TreeMap<>();
        repository.findByKeyArtist(artist).stream()
                .filter(u -> trade.has(u.technique()))
                .forEach(u -> schools.put(u.family(), u.technique()));
        return schools;
    }

    /** This artist's ways where practitioners differ about the order: the way's id by question. */
    public Map<String, String> ways(String artist) {
        Map<String, String> own = new HashMap<>();
        repository.findByKeyArtist(artist).forEach(u -> own.put(u.family(), u.technique()));
        Map<String, String> ways = new TreeMap<>();
        trade.orderSchools().stream()
                .filter(s -> !s.byTechnique())
                .forEach(s -> Optional.ofNullable(own.get(ORDER + s.id()))
                        .flatMap(s::way)
                        .ifPresent(w -> ways.put(s.id(), w.id())));
        return ways;
    }

    /** Makes this way the artist's own; the same one again takes it back. */
    @Transactional
    public void press(String artist, OrderSchool school, OrderSchool.Way way) {
        press(new UsualSchool.Key(artist, ORDER + school.id()), way.id());
    }

    /** Makes this technique the artist's own in its family; the same one again takes it back. */
    @Transactional
    public void press(String artist, Technique technique) {
        press(new UsualSchool.Key(artist, technique.family()), technique.id());
    }

    private void press(UsualSchool.Key key, String choice) {
        boolean already = repository
                .findById(key)
                .filter(u -> u.technique().equals(choice))
                .isPresent();
        if (already) {
            repository.deleteById(key);
        } else {
            repository.save(new UsualSchool(key, choice));
        }
    }
}
