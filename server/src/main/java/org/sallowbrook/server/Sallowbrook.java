package org.sallowbrook.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.scheduling.annotation.EnableScheduling;

// Accounts are this application's own; a generated one would only be a password in the log.
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@EnableScheduling
public class Sallowbrook {

    public static void main(String[] args) {
        SpringApplication.run(Sallowbrook.class, args);
    }
}
