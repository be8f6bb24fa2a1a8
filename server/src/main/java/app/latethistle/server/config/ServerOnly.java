package app.latethistle.server.config;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;

/** Is not there in a worker, which only works on what the server queues. */
@Documented
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ConditionalOnBooleanProperty(
    name = "latethistle.worker",
    havingValue = false,
    matchIfMissing = true)
public @interface ServerOnly {}
