package mensor.server.people;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** A person's roles in one column, by their names. */
@Converter
class RolesColumn implements AttributeConverter<List<Role>, String> {
    @Override
    public String convertToDatabaseColumn(List<Role> roles) {
        return roles == null ? null : roles.stream().map(Role::name).collect(Collectors.joining(","));
    }

    @Override
    public List<Role> convertToEntityAttribute(String column) {
        return column == null
                ? List.of()
                : Arrays.stream(column.split(",")).map(Role::valueOf).toList();
    }
}
