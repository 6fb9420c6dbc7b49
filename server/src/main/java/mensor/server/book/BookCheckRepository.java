package mensor.server.book;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BookCheckRepository extends JpaRepository<BookCheckEntity, UUID> {
    Optional<BookCheckEntity> findFirstByBookOrderByRecordedAtDesc(String book);
}
