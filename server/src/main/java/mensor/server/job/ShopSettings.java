package mensor.server.job;

import java.util.Optional;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the shop has settled for all its jobs, each under a name. */
@Service
public class ShopSettings {
    private static final int LONGEST = 4_000;

    private final ShopSettingRepository settings;

    ShopSettings(ShopSettingRepository settings) {
        this.settings = settings;
    }

    public record Setting(String content, long version) {}

    @Transactional(readOnly = true)
    public Optional<Setting> find(String name) {
        return settings.findByName(name).map(s -> new Setting(s.content(), s.version()));
    }

    /** @param version the one that was shown; absent before the first */
    @Transactional
    public void put(String name, String content, @Nullable Long version) {
        if (content.length() > LONGEST) {
            throw Refusal.invalid(name, "this is more than is kept: at most " + LONGEST + " letters");
        }
        Optional<ShopSettingEntity> standing = settings.findByName(name);
        if (standing.isPresent() && !standing.get().version().equals(version)) {
            throw Refusal.stale("somebody settled it otherwise meanwhile; check again", null);
        }
        ShopSettingEntity setting = standing.orElseGet(() -> new ShopSettingEntity(name));
        setting.set(content);
        settings.saveAndFlush(setting);
    }
}
