package org.sallowbrook.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

@SpringBootApplication
public class Sallowbrook {

    public static void main(String[] args) {
        SpringApplication.run(Sallowbrook.class, args);
    }
}
