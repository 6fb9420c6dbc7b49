package mensor.server.study;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StudyRepository extends JpaRepository<StudyEntity, UUID> {
    List<StudyEntity> findAllByOrderByRecordedAtDesc();
}
