package app.kemdro.web.records.school;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface UsualSchoolRepository extends JpaRepository<UsualSchool, UsualSchool.Key> {
    List<UsualSchool> findByKeyArtist(String artist);
}
