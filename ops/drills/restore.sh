# A backup comes back row by row; killed at any moment the restore is begun again.
breaks=10
[ $short = 0 ] || breaks=1
up
site=$(ask_records "SELECT MIN(person_id) FROM sites")
# rows: a digest of each table up to a moment; what a restoration itself writes, and who is signed in, aside. Later than that moment
# both sites go on working, each for itself.
rows() {
    local table where timed
    timed=" $(as_owner mariadb --skip-column-names --batch rheacid --execute="SELECT table_name FROM information_schema.columns WHERE table_schema = 'rheacid' AND column_name = 'at'" | tr '\n' ' ')"
    for table in $(as_owner mariadb --skip-column-names --batch rheacid --execute="SHOW TABLES" | grep -v '^\(restorations\|access_log\|waits\|sign_ins\|jobs\|failed_jobs\|recording_gate\|board\|migrations\|access_digests\)$'); do
        where=1; [ "${timed/ $table /}" = "$timed" ] || where="at <= '$moment'"
        case "$table" in ledger) where="seq <= $lines" ;; idempotency_keys) where="person_id <> $site" ;; esac
        echo "$table $(as_owner mariadb-dump --no-create-info --compact --skip-extended-insert --order-by-primary --hex-blob --where="$where" rheacid "$table" | sha256sum)"
    done
}
# The site goes on working: what it records between the backup and the look at its rows would stand in one of them only.
for attempt in 1 2 3 4 5; do
    lines=$(ask_records "SELECT MAX(seq) FROM ledger") moment=$(ask_records "SELECT MAX(at) FROM ledger")
    rm -rf "$scratch/still"
    on "$ROOT/bin/backup" "$scratch/still" > "$scratch/backup" 2>&1 || wrong "backup" "$(tail -n 2 "$scratch/backup")"
    rows > "$scratch/rows-here"
    [ "$lines" != "$(ask_records "SELECT MAX(seq) FROM ledger")" ] || break
    [ $attempt -lt 5 ] || wrong "backup" "something was recorded during each of five backups"
done
file=$(ls "$scratch"/still/*.tar) key=$(public_key)
for ((i = 0; i < breaks; i++)); do
    on_restored killed_at $((3 + 80 * i / breaks)) "$ROOT/bin/restore" "$file" --key="$key"
    # One that was through before it was killed is taken away again, so that there is something to kill.
    [ ! -d "$ROOT/var/drill-restored" ] || rm -rf "$ROOT/var/drill-restored" "$ROOT"/var/drill-restored.heads
done
on_restored "$ROOT/bin/restore" "$file" --key="$key" > "$scratch/restore" 2>&1 || wrong "restore" "$(tail -n 2 "$scratch/restore")"
[ ! -e "$ROOT/var/.restoring-drill-restored" ] || wrong "restore" "its working place is left"
(umask 077; on_restored "$ROOT/bin/start" --detach) > "$scratch/restored" 2>&1 || wrong "restored, started" "$(tail -n 2 "$scratch/restored")"
on_restored "$ROOT/bin/verify" > "$scratch/verify" 2>&1 || wrong "restored, verified" "$(tail -n 3 "$scratch/verify")"
told "restore, killed at $breaks moments, then whole" "$(sed -n 's/^Head: .*, //p' "$scratch/verify"), proven"
(instance drill-restored $((port + 1)) $((database_port + 1)); choose_users; rows) > "$scratch/rows-there"
differs=$( (diff "$scratch/rows-here" "$scratch/rows-there" || true) | sed -n 's/^< \([a-z_]*\).*/\1/p' | tr '\n' ' ')
[ -z "$differs" ] || wrong "restored, compared row by row" "these differ: $differs"
told "restored, compared row by row, $(wc -l < "$scratch/rows-here") tables" "the same"
on_restored "$ROOT/bin/restore" "$file" --key="$key" > "$scratch/refused" 2>&1 && wrong "restore over what is there" "was not refused"
clear_restored
told "restore over what is there" "refused, nothing changed"
