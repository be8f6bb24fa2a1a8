package app.latethistle.server.config;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The application's own settings.
 *
 * @param data the folder of the media store
 * @param demo the folder of the demo's files
 * @param node this process among those that share the database; no two alike
 * @param worker whether it only works on what others queue: no page, no demo, no services
 * @param seedDemo whether an empty shelf gets the demo at the start
 */
@ConfigurationProperties("latethistle")
public record Settings(Path data, Path demo, boolean seedDemo, String node, boolean worker) {}
