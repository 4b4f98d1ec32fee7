# shellcheck shell=bash
# Sallowbrook as a service of this machine: installed, brought up to date with a way back, taken away. Read by ../sallowbrook.

# Elsewhere than in / it is laid out to be looked at: no account is made and systemd hears nothing of it.
service_root=${SALLOWBROOK_ROOT:-}
programs=$service_root/opt/sallowbrook
unit=$service_root/etc/systemd/system/sallowbrook.service
settings=$service_root/etc/default/sallowbrook
records=$service_root/var/lib/sallowbrook
# How many seconds a version may take until it answers; a new one as many as are said.
most_seconds=600
patience=${SALLOWBROOK_PATIENCE:-$most_seconds}

systemd_runs() { [ -z "$service_root" ] && [ -d /run/systemd/system ]; }

as_service() { # as_service COMMAND...: by the service's own account, with its records
    (become_service "$@")
}

become_service() { # becomes the command
    local with=(env "SALLOWBROOK_DATA=$records" "HOME=$records")
    if [ -n "$service_root" ]; then exec "${with[@]}" "$@"; else exec runuser -u sallowbrook -- "${with[@]}" "$@"; fi
}

may() { # may COMMAND
    is_root || [ -n "$service_root" ] || fail "a service belongs to the machine, so root does this: sudo ./sallowbrook $1"
    [ -f pom.xml ] || [ "$1" = uninstall ] || fail "this is what was installed already; go to a checkout of the sources for $1"
    as_set
}

as_set() { # what systemd reads for the service
    set -a
    # shellcheck disable=SC1090
    if [ -f "$settings" ]; then . "$settings"; fi
    set +a
    port=${SALLOWBROOK_PORT:-8480}
}

# By whoever has the checkout: nothing of root's is left in it.
built() {
    local owner
    owner=$(stat -c %U "$here")
    check_tools
    if is_root && [ "$owner" != root ]; then
        runuser -u "$owner" -- "$here/sallowbrook" build
    else
        build
    fi
}

lay_out() { # sets version: a folder beside those that are there, not in use yet
    version=$programs/$(date -u +%Y%m%dT%H%M%SZ)
    [ ! -e "$version" ] || fail "$version is there already; wait a second"
    mkdir -p "$version/server/target"
    cp -r sallowbrook service "$version"
    cp -r "$unpacked" "$version/server/target/app"
    chmod -R go=rX "$programs"
    sync
}

# In one step: a machine that is switched off in the middle has the one or the other.
switch_to() { # switch_to VERSION
    ln -sfn "$(basename "$1")" "$programs/current.new"
    mv -T "$programs/current.new" "$programs/current"
}

write_unit() { # write_unit VERSION
    mkdir -p "$(dirname "$unit")"
    cp "$1/service/sallowbrook.service" "$unit.part"
    mv "$unit.part" "$unit"
    ! systemd_runs || systemctl daemon-reload
}

started=
service_starts() {
    if systemd_runs; then
        systemctl enable --quiet sallowbrook
        systemctl restart sallowbrook
    else
        become_service setsid "$programs/current/sallowbrook" run >>"$records/service.log" 2>&1 9>&- &
        started=$!
    fi
}

service_stops() {
    if systemd_runs; then
        systemctl stop sallowbrook || true
    elif [ -n "$started" ]; then
        # It may be on its way still, with nothing that `stop` could find.
        kill "$started" 2>/dev/null || true
        wait "$started" 2>/dev/null || true
        started=
    else
        as_service "$programs/current/sallowbrook" stop >/dev/null
    fi
}

came_up() { # came_up SECONDS
    local waited=0
    until answers; do
        [ $((waited += 1)) -le "$1" ] || return 1
        sleep 1
    done
}

install_service() { # install_service [--home] [--records FILE]
    local from='' home='' version
    may install
    while [ $# -gt 0 ]; do
        case $1 in
            --home) home=1 ;;
            --records)
                from=${2:-}
                [ -f "$from" ] || fail "which backup? ./sallowbrook install --records FILE"
                shift
                ;;
            *) fail "what is $1? ./sallowbrook install takes --home and --records FILE" ;;
        esac
        shift
    done
    [ ! -e "$programs/current" ] || fail "it is installed already; bring it up to date: ./sallowbrook update"
    ! listens "$port" || fail "port $port is taken. Stop what runs there (./sallowbrook stop?), or put another into $settings: SALLOWBROOK_PORT=8482"
    built
    if [ -z "$service_root" ] && ! id sallowbrook >/dev/null 2>&1; then
        useradd --system --home-dir "$records" --no-create-home --shell /usr/sbin/nologin sallowbrook
    fi
    mkdir -p "$records" "$(dirname "$settings")"
    chmod 711 "$records"
    [ -n "$service_root" ] || chown sallowbrook: "$records"
    # Records that root kept with ./sallowbrook run lie at the same place; they are the service's from now on.
    [ -n "$service_root" ] || [ ! -d "$records/household" ] || chown -R sallowbrook: "$records/household"
    if [ ! -f "$settings" ]; then
        printf '%s\n' '# Read when the service starts: systemctl restart sallowbrook' '#SALLOWBROOK_PORT=8480' \
            '#SALLOWBROOK_COPIES_TOO=/media/stick/sallowbrook' >"$settings"
    fi
    # Settings that were there already stay; the word that was said now holds beside them.
    if [ -n "$home" ] && ! grep -qx 'SALLOWBROOK_HOME=true' "$settings"; then echo SALLOWBROOK_HOME=true >>"$settings"; fi
    as_set
    lay_out
    switch_to "$version"
    write_unit "$version"
    [ -z "$from" ] || by_service restore "$from"
    if systemd_runs || [ -n "$service_root" ]; then
        service_starts
        came_up "$most_seconds" || fail "it was installed and does not answer at port $port; see $records/household/app.log and: journalctl -u sallowbrook"
        say "Sallowbrook runs at http://127.0.0.1:$port and comes up with the machine.${home:+ Phones of this house come in by the code under Household.}"
    else
        say "Installed, and not started: systemd does not run here. By hand:
  runuser -u sallowbrook -- env SALLOWBROOK_DATA=$records $programs/current/sallowbrook run"
    fi
    say "Records: $records; settings: $settings; up to date: sudo ./sallowbrook update; away: sudo ./sallowbrook uninstall"
}

# First a copy, then the new version; when that one does not come up, the one of before with the records of the copy.
update_service() {
    local before version copy log
    may update
    [ -e "$programs/current" ] || fail "nothing is installed; sudo ./sallowbrook install"
    built
    check_disk "$programs"
    check_disk "$records"
    before=$(readlink -f "$programs/current")
    copy=$records/before-update-$(date +%F-%H%M%S).backup
    if [ -f "$records/household/cluster/PG_VERSION" ]; then
        as_service "$before/sallowbrook" backup "$copy" || fail "without a copy nothing is changed"
    else
        copy=''
    fi
    lay_out
    service_stops
    rm -f "$records/household/app.jsa"
    switch_to "$version"
    write_unit "$version"
    service_starts
    if came_up "$patience"; then
        say "Up to date; it runs at http://127.0.0.1:$port.${copy:+ What was there before is in $copy.}"
        # The one of before stays for going back by hand; older ones go.
        find "$programs" -mindepth 1 -maxdepth 1 -type d ! -path "$version" ! -path "$before" -exec rm -rf {} +
        return
    fi
    log=$records/failed-update-$(date +%F-%H%M%S)
    service_stops
    mkdir -p "$log"
    chmod 700 "$log"
    cp "$records/household/app.log" "$log" 2>/dev/null || true
    if [ -n "$copy" ]; then
        # What the new version made of the records stays to be looked at; certificates and copies are not part of it.
        mv "$records/household/cluster" "$records/household/password" "$records/household/steward-password" "$log"
        [ -n "$service_root" ] || chown sallowbrook: "$log"
    fi
    switch_to "$before"
    write_unit "$before"
    [ -z "$copy" ] || as_service "$before/sallowbrook" restore "$copy" >/dev/null ||
        fail "the new version did not come up, and the copy could not be restored: it is $copy; what was there is in $log"
    rm -rf "$version"
    service_starts
    came_up "$most_seconds" || fail "the new version did not come up, and the one of before does not either; the copy is $copy, what the new one left is in $log"
    fail "the new version did not come up within $patience s. The one of before runs again, with the records as they were.
What the new one said and left is in $log; the copy is $copy"
}

uninstall_service() {
    may uninstall
    [ -e "$programs/current" ] || fail "nothing is installed"
    service_stops
    if systemd_runs; then systemctl disable --quiet sallowbrook || true; fi
    rm -f "$unit"
    ! systemd_runs || systemctl daemon-reload
    cd /
    rm -rf "$programs"
    say "Gone. Records and settings stay: $records, $settings. Nothing but your own hand deletes them."
}

# What root asks of an installed one is done by the service's account; files go through its folder.
by_service() { # by_service backup|restore|run|stop [FILE...]
    local command=$1 between status=0
    shift
    as_set
    case $command in
        backup)
            [ -n "${1:-}" ] || fail "Back up into which file? sallowbrook backup FILE"
            [ ! -e "$1" ] || fail "$1 is there already; choose another name"
            between=$records/out-$$.backup
            as_service "$programs/current/sallowbrook" backup "$between" >/dev/null || exit 1
            mv "$between" "$1"
            chown -h "$(id -u):$(id -g)" "$1"
            say "Backed up into $1."
            ;;
        restore)
            [ -f "${1:-}" ] || fail "Restore which file? sallowbrook restore FILE"
            between=$records/in-$$.backup
            cp "$1" "$between"
            [ -n "$service_root" ] || chown sallowbrook: "$between"
            as_service "$programs/current/sallowbrook" restore "$between" || status=$?
            rm -f "$between"
            return "$status"
            ;;
        stop | run)
            ! systemd_runs || fail "systemd starts and stops it: systemctl start sallowbrook, systemctl stop sallowbrook"
            as_service "$programs/current/sallowbrook" "$command" "$@"
            ;;
    esac
}
