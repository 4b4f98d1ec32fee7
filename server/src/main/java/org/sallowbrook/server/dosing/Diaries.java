package org.sallowbrook.server.dosing;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Diaries extends JpaRepository<Diary, UUID> {}
