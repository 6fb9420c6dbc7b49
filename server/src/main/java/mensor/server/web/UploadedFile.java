package mensor.server.web;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The request's body is a file's bytes; said for the description of the interface. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@RequestBody(
        required = true,
        content =
                @Content(mediaType = "application/octet-stream", schema = @Schema(type = "string", format = "binary")))
public @interface UploadedFile {}
