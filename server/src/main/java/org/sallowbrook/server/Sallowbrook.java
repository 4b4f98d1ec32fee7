package org.sallowbrook.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

@SpringBootApplication
@EnableScheduling
public class Sallowbrook {

    public static void main(String[] args) {
        SpringApplication.run(Sallowbrook.class, args);
    }
}
