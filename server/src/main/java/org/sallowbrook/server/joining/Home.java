package org.sallowbrook.server.joining;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Whether and where the machine listens beyond itself; nowhere unless it was started for it.
 *
 * @param listens {@code ./sallowbrook run --home}
 * @param address it listens at; empty for all it has
 * @param port for https
 * @param plainPort for http, which leads to joining and nowhere else
 * @param folder where the authority is kept, with the household's data
 */
@ConfigurationProperties("sallowbrook.home")
record Home(boolean listens, String address, int port, int plainPort, Path folder) {}
