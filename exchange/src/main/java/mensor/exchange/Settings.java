package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mensor.weld.InvalidField;

/** What a command is told by {@code OPTION NAME=VALUE}, as often as one likes. */
final class Settings {
    private Settings() {}

    /**
     * Takes the option's settings out of the arguments.
     *
     * @throws InvalidField where one is not {@code NAME=VALUE}
     */
    static Map<String, String> take(List<String> arguments, String option) {
        return take(arguments, option, "NAME=VALUE");
    }

    private static Map<String, String> take(List<String> arguments, String option, String wanted) {
        Map<String, String> settings = new LinkedHashMap<>();
        int i;
        while ((i = arguments.indexOf(option)) >= 0) {
            arguments.remove(i);
            String setting = i < arguments.size() ? arguments.remove(i) : "";
            int equals = setting.indexOf('=');
            if (equals < 1) {
                throw new InvalidField(option, wanted + " is required, got \"" + setting + "\"");
            }
            settings.put(setting.substring(0, equals), setting.substring(equals + 1));
        }
        return settings;
    }

    /** As {@link #take}, of numbers. */
    static Map<String, Double> numbers(List<String> arguments, String option) {
        Map<String, Double> numbers = new LinkedHashMap<>();
        take(arguments, option, "NAME=NUMBER").forEach((name, value) -> {
            try {
                numbers.put(name, Double.valueOf(value));
            } catch (NumberFormatException e) {
                throw new InvalidField(option, "NAME=NUMBER is required, got \"" + name + "=" + value + "\"");
            }
        });
        return numbers;
    }
}
