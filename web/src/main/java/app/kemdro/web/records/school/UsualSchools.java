package app.kemdro.web.records.school;

import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps every artist's own schools. */
@Service
public class UsualSchools {
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

    /** Makes this technique the artist's own in its family; the same one again takes it back. */
    @Transactional
    public void press(String artist, Technique technique) {
        UsualSchool.Key key = new UsualSchool.Key(artist, technique.family());
        boolean already = repository
                .findById(key)
                .filter(u -> u.technique().equals(technique.id()))
                .isPresent();
        if (already) {
            repository.deleteById(key);
        } else {
            repository.save(new UsualSchool(key, technique.id()));
        }
    }
}
