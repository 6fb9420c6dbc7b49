package mensor.server.testpiece;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PiecePictureRepository extends JpaRepository<PiecePictureEntity, UUID> {
    List<PiecePictureEntity> findByPieceIdInAndWithdrawnFalseOrderByAddedAt(Collection<UUID> pieces);
}
