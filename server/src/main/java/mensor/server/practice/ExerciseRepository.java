package mensor.server.practice;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ExerciseRepository extends JpaRepository<ExerciseEntity, UUID> {
    List<ExerciseEntity> findByPersonIdOrderByBegunAtDesc(UUID person);

    List<ExerciseEntity> findByPersonIdAndHandedAtIsNotNullOrderByHandedAt(UUID person);

    List<ExerciseEntity> findByHandedAtIsNotNullOrderByHandedAt();

    List<ExerciseEntity> findByStudyId(UUID study);

    @Query("select e.studyId from ExerciseEntity e where e.id = :id")
    Optional<UUID> studyOf(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<ExerciseEntity> findForChangeById(UUID id);
}
