package mensor.server.job;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShopSettingRepository extends JpaRepository<ShopSettingEntity, UUID> {
    Optional<ShopSettingEntity> findByName(String name);
}
