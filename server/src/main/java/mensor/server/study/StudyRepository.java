package mensor.server.study;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface StudyRepository extends JpaRepository<StudyEntity, UUID> {
    List<StudyEntity> findAllByOrderByRecordedAtDesc();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<StudyEntity> findForChangeById(UUID id);
}
