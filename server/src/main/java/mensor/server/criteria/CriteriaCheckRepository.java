package mensor.server.criteria;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CriteriaCheckRepository extends JpaRepository<CriteriaCheckEntity, UUID> {
    Optional<CriteriaCheckEntity> findFirstByBookOrderByRecordedAtDesc(String book);
}
