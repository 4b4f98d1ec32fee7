#!/usr/bin/env bash
# tampered.sh WHOLE FOLDER: makes backups that somebody tampered with out of a whole one, each named after what was done to it.
# CANARY is a file that a command in one of them would write.
set -eu
whole=$(realpath "$1") out=$(realpath "$2")
source ./sallowbrook
fail() {
    echo "$*" >&2
    exit 1
}

fresh() { # a folder with the members of the whole one
    rm -rf "$out/in"
    mkdir "$out/in"
    tar -xf "$whole" -C "$out/in"
    cd "$out/in"
}
manifest() { sha256sum format made-on records.dump >manifest && sign manifest >manifest.mac; }
pack() { tar --format=ustar -cf "$out/$1.backup" format made-on manifest manifest.mac records.dump; }
old() { # of the version before, with a checksum of what is given
    echo sallowbrook-backup-1 >format
    sha256sum "$@" >records.sha256
    tar --format=ustar -cf "$out/$name.backup" format made-on records.sha256 records.dump
}

name=
case_() { # case_ NAME COMMANDS: in the folder, then packed with a manifest that fits
    name=$1
    fresh
    eval "$2"
    manifest 2>/dev/null || true
    pack "$name"
}
raw() { # raw NAME COMMANDS: packs by itself
    name=$1
    fresh
    eval "$2"
}

# ---- the file
raw byte-flipped 'printf x | dd of=records.dump bs=1 seek=5000 conv=notrunc 2>/dev/null; pack $name'
raw cut-short 'head -c 60000 "$whole" >"$out/$name.backup"'
raw empty ': >"$out/$name.backup"'
raw a-letter 'echo "dear friends" >"$out/$name.backup"'
raw compressed 'gzip -c "$whole" >"$out/$name.backup"'
raw zeros 'head -c 100000 /dev/zero >"$out/$name.backup"'
raw looks-encrypted '(printf Salted__; head -c 5000 /dev/urandom) >"$out/$name.backup"'
raw holes 'truncate -s 5G records.dump; tar -S -cf "$out/$name.backup" format made-on manifest manifest.mac records.dump'

# ---- its members
raw dump-is-a-link 'rm records.dump; ln -s /etc/hostname records.dump; pack $name'
raw date-is-a-link 'rm made-on; ln -s /etc/hostname made-on; pack $name'
raw format-is-a-link 'rm format; ln -s /etc/hostname format; pack $name'
raw hard-link 'rm made-on; ln format made-on; pack $name'
raw a-pipe 'rm made-on; mkfifo made-on; tar --format=ustar -cf "$out/$name.backup" format made-on manifest manifest.mac records.dump'
raw a-folder 'rm made-on; mkdir made-on; pack $name'
raw one-more 'echo x >extra; tar --format=ustar -cf "$out/$name.backup" format made-on manifest manifest.mac records.dump extra'
raw one-less 'tar --format=ustar -cf "$out/$name.backup" format made-on manifest manifest.mac'
raw without-manifest 'tar --format=ustar -cf "$out/$name.backup" format made-on records.dump'
raw climbs 'tar --format=ustar --transform "s,made-on,../climbed," -Pcf "$out/$name.backup" format made-on manifest manifest.mac records.dump'
raw from-the-root 'tar --format=ustar --transform "s,made-on,/tmp/from-the-root," -Pcf "$out/$name.backup" format made-on manifest manifest.mac records.dump'
raw twice 'tar --format=ustar -cf "$out/$name.backup" format made-on manifest manifest.mac records.dump; tar --format=ustar -rf "$out/$name.backup" made-on'
raw blank-in-a-name 'tar --format=ustar --transform "s,made-on,made on," -cf "$out/$name.backup" format made-on manifest manifest.mac records.dump'

# ---- what they say
raw manifest-of-one 'sha256sum format >manifest; pack $name'
raw manifest-of-another 'sha256sum format made-on records.dump /etc/hostname >manifest; pack $name'
raw manifest-empty ': >manifest; pack $name'
raw manifest-twice 'sha256sum format made-on records.dump records.dump >manifest; pack $name'
case_ of-a-later-version 'echo sallowbrook-backup-9 >format'
case_ format-and-more 'printf "sallowbrook-backup-2 and more\n" >format'
case_ made-never 'echo never >made-on'
case_ made-on-with-escapes 'printf "\033]0;x\007 2026-01-01T00:00:00Z\n" >made-on'
case_ made-on-two-lines 'printf "2026-01-01T00:00:00Z\n2026-01-01T00:00:00Z\n" >made-on'
raw old-with-a-checksum-of-the-format 'old format'
raw old-with-a-changed-dump 'sha256sum records.dump >x; printf x >>records.dump; echo sallowbrook-backup-1 >format; mv x records.sha256; tar --format=ustar -cf "$out/$name.backup" format made-on records.sha256 records.dump'

# ---- the records
case_ dump-empty ': >records.dump'
case_ dump-in-words 'echo "copy (select 1) to program '"'touch $CANARY'"';" >records.dump'
mkdir -p "$out/cluster-of-it"
chmod 755 "$out" "$out/cluster-of-it"
pg_start "$out/cluster-of-it" throwaway >/dev/null
dump_of() { # dump_of NAME STATEMENTS: of a database with the records and more in it, by whoever may do anything
    pg_create "$1" >/dev/null
    fresh
    PGPASSWORD=$SALLOWBROOK_DB_PASSWORD "$(pg_bin)/pg_restore" -h 127.0.0.1 -p "$SALLOWBROOK_PG_PORT" -U sallowbrook -d "$1" --no-owner records.dump
    steward "$1" -c "$2" >/dev/null
    PGPASSWORD=$pg_steward "$(pg_bin)/pg_dump" -h 127.0.0.1 -p "$SALLOWBROOK_PG_PORT" -U sallowbrook_steward -Fc -d "$1" -f records.dump
    manifest
    name=$1
    pack "$1"
}
# Only where it is restored to, not where it is made.
runs="if current_database() = 'sallowbrook' then execute 'copy (select 1) to program ''touch $CANARY'''; end if;"
dump_of runs-in-a-check "create function ev() returns boolean language plpgsql as \$\$ begin $runs return true; end \$\$; create table evt (a int check (ev())); insert into evt values (1)"
dump_of a-trigger "create function tr() returns trigger language plpgsql as \$\$ begin $runs return new; end \$\$; create trigger t before insert on household for each row execute function tr()"
dump_of an-event-trigger "create function et() returns event_trigger language plpgsql as \$\$ begin $runs end \$\$; create event trigger e on ddl_command_end execute function et()"
dump_of a-view "create view v as select pg_read_file('/etc/hostname')"
dump_of a-publication "create publication p for all tables"
dump_of other-records "drop schema public cascade; create schema public; create table notes (a int)"
pg_stop "$out/cluster-of-it"
rm -rf "$out/in" "$out/cluster-of-it"
