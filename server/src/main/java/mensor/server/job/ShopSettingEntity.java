package mensor.server.job;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** What the shop has settled for all its jobs, under a name. */
@Entity
@Audited
@Table(name = "shop_setting")
class ShopSettingEntity {
    @Id
    private UUID id;

    @Column(length = 40)
    private String name;

    @Column(length = 4000)
    private String content;

    @Version
    private Long version;

    protected ShopSettingEntity() {}

    ShopSettingEntity(String name) {
        this.id = UUID.randomUUID();
        this.name = name;
    }

    void set(String newContent) {
        content = newContent;
    }

    String content() {
        return content;
    }

    Long version() {
        return version;
    }
}
