# Backups that somebody has tampered with: each is refused, and leaves nothing.
up
[ -n "${file:-}" ] && [ -s "$file" ] || { on "$ROOT/bin/backup" "$scratch/still" > "$scratch/backup" 2>&1 || wrong "backup" "$(tail -n 2 "$scratch/backup")"; file=$(ls "$scratch"/still/*.tar); }
key=$(public_key)
# forge NAME: takes the backup apart into $scratch/forge; bind NAME packs it again, with digests that are right, unsigned.
forge() { rm -rf "$scratch/forge"; mkdir "$scratch/forge"; tar -C "$scratch/forge" -xf "$file"; gzip -df "$scratch/forge/records.sql.gz"; }
bind() {
    (cd "$scratch/forge" && gzip -f records.sql && sed -i "s/^records=.*/records=$(sha256sum records.sql.gz | cut -c1-64)/; s/^settings=.*/settings=$(sha256sum settings | cut -c1-64)/" manifest && tar -cf ../forged.tar manifest signature settings records.sql.gz)
}
# refused WHAT WORDS [ARGUMENT…]: it is, for that reason, and nothing is left.
refused() {
    local what=$1 words=$2; shift 2
    on_restored "$ROOT/bin/restore" "$scratch/forged.tar" "$@" > "$scratch/refused" 2>&1 && wrong "$what" "was not refused"
    grep -q "$words" "$scratch/refused" || wrong "$what" "$(tail -n 2 "$scratch/refused")"
    [ ! -e "$ROOT/var/drill-restored" ] && [ ! -e "$ROOT/var/.restoring-drill-restored" ] || wrong "$what" "left something"
    [ ! -e "$scratch/canary" ] || wrong "$what" "a command in it was run"
    told "a backup $what" "refused, nothing changed"
}
rm -f "$scratch/canary"
cp "$file" "$scratch/forged.tar"; printf 'x' | dd of="$scratch/forged.tar" bs=1 seek=9000 conv=notrunc 2> /dev/null
refused "that is damaged" "damaged" --key="$key"
cp "$file" "$scratch/forged.tar"
refused "whose key is not known" "Nothing proves who made this backup"
refused "of another key" "not signed with that key" --key="$(php "$ROOT/ops/sign.php" new > "$scratch/other" && php "$ROOT/ops/sign.php" public "$scratch/other")"
forge; sed -i 's/^taken_at=.*/taken_at=2000-01-01T00:00:00Z/' "$scratch/forge/manifest"; bind
refused "with another time in its manifest" "not signed with that key" --key="$key"
# A shell of the client, in the records themselves. It ends there, whatever was said about proofs.
for shell in "\\! touch $scratch/canary" "system touch $scratch/canary" "\\. $scratch/other" "LOAD DATA LOCAL INFILE '/etc/passwd' INTO TABLE batch_notes;" "CREATE DATABASE elsewhere;" "CREATE USER 'guest'@'%';" "GRANT ALL ON rheacid.* TO 'rheacid_app'@'127.0.0.1';" "CREATE PROCEDURE p() SELECT 1;" "CREATE EVENT e ON SCHEDULE EVERY 1 DAY DO DELETE FROM ledger;" "CREATE TRIGGER t BEFORE INSERT ON samples FOR EACH ROW SET NEW.place = 'x';" "SET GLOBAL general_log = 1;"; do
    [ $short = 0 ] || case "$shell" in '\!'*) ;; *) continue ;; esac
    forge; printf '\n%s\n' "$shell" >> "$scratch/forge/records.sql"; bind
    refused "with '${shell%%/*}…'" "could not be imported" --unproven
done
# A row that the chain does not know, and a chain that was cut.
if [ $short = 0 ]; then
    forge; echo "UPDATE batch_events SET state = 'released' ORDER BY id LIMIT 1;" | sed 's/^/\n/' >> "$scratch/forge/records.sql"; bind
    refused "that changes a row (no such right)" "could not be imported" --unproven
fi
forge; printf '\nINSERT INTO lot_events (lot_id, kind, at, person_id) SELECT id, "discarded", NOW(), (SELECT MIN(id) FROM people) FROM lots LIMIT 1;\n' >> "$scratch/forge/records.sql"; bind
refused "with a row that was slipped in" "not match their own ledger" --unproven
if [ $short = 0 ]; then
    forge; printf '\nCREATE TABLE slipped (id INT);\n' >> "$scratch/forge/records.sql"; bind
    refused "with a table that was slipped in" "slipped" --unproven
fi
# Heads that are known elsewhere are held against it, whatever it says of its time.
cp "$file" "$scratch/forged.tar"
echo "2000-02-01T00:00:00Z 5 $(printf '0%.0s' {1..64}) whole" > "$ROOT/var/drill-restored.heads"
refused "that lacks a head which was proven before it" "from another ledger, or its end" --key="$key"
forge; sed -i 's/^taken_at=.*/taken_at=2000-01-01T00:00:00Z/' "$scratch/forge/manifest"; bind
refused "that lacks a proven head and lies about its time" "from another ledger, or its end" --unproven
rm -f "$ROOT/var/drill-restored.heads"
if [ $short = 0 ]; then
    cp "$file" "$scratch/forged.tar"
    refused "that lacks the head that was given" "does not contain the head given" --key="$key" --head="$(printf 'f%.0s' {1..64})"
    # Links and settings: nothing of them comes through.
    forge; rm "$scratch/forge/settings"; ln -s /etc/shadow "$scratch/forge/settings"; (cd "$scratch/forge" && gzip -f records.sql && sed -i "s/^settings=.*/settings=$(sha256sum /dev/null | cut -c1-64)/; s/^records=.*/records=$(sha256sum records.sql.gz | cut -c1-64)/" manifest && tar -cf ../forged.tar manifest signature settings records.sql.gz)
    on_restored "$ROOT/bin/restore" "$scratch/forged.tar" --unproven > "$scratch/restore" 2>&1 || wrong "settings that are a link" "$(tail -n 2 "$scratch/restore")"
    ! grep -q '^root:' "$ROOT/var/drill-restored/.env" || wrong "settings that are a link" "a file of the machine came through"
    clear_restored
    forge
    printf 'DB_OWNER_PASSWORD=known\nAPP_KEY=base64:%s\nDB_APP_PASSWORD=known\nTRUSTED_PROXY=10.0.0.1\nMAIL_HOST=mail.elsewhere.example\nIDLE_MINUTES=${APP_KEY}\n' "$(head -c 32 /dev/zero | base64)" >> "$scratch/forge/settings"; bind
    on_restored "$ROOT/bin/restore" "$scratch/forged.tar" --unproven > "$scratch/restore" 2>&1 || wrong "settings of an unproven backup" "$(tail -n 2 "$scratch/restore")"
    ! grep -q 'known\|elsewhere\|10.0.0.1\|APP_KEY}\|AAAAAAAAAAAA' "$ROOT/var/drill-restored/.env" "$ROOT/var/drill-restored/root/owner.env" || wrong "settings of an unproven backup" "came true: $(grep 'known\|elsewhere\|10.0.0.1\|APP_KEY}' "$ROOT/var/drill-restored/.env")"
    on_restored "$ROOT/bin/start" --detach > "$scratch/restored" 2>&1 || wrong "an unproven backup, started" "$(tail -n 2 "$scratch/restored")"
    [ "$(RHEACID_INSTANCE=drill-restored; instance drill-restored $((port + 1)) $((database_port + 1)); choose_users; ask_records 'SELECT signed FROM restorations ORDER BY id DESC LIMIT 1')" = 0 ] || wrong "an unproven backup" "is not recorded as one"
    clear_restored
    told "settings that are a link, and secrets in an unproven backup" "not taken over; secrets are new, and it says that it is unproven"
fi
