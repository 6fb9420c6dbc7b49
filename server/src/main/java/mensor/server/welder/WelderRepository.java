package mensor.server.welder;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface WelderRepository extends JpaRepository<WelderEntity, String> {
    List<WelderEntity> findAllByOrderByStamp();
}
