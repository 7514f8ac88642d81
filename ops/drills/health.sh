# What is said of each fault: by /up, by bin/status and its exit code, and to a lead on Today.
up
sign_in_as_lead() { php "$ROOT/ops/drill-page.php" "$port" "$(env_value DEMO_PASSPHRASE)" sela "$@"; }
# fault WHAT HTTP EXIT WORDS: as it stands now; the page of Today is asked only where it can answer.
fault() {
    local what=$1 http=$2 exit=$3 words=$4 code=0 said up
    up=$(page_says | head -n 1 | cut -d ' ' -f 2)
    said=$(on "$ROOT/bin/status" 2>&1) || code=$?
    [ "$up" = "$http" ] || wrong "$what" "/up answers ${up:-nothing}, not $http"
    [ "$code" = "$exit" ] || wrong "$what" "bin/status ends with $code, not $exit: $said"
    grep -qi "$words" <<< "$said" || wrong "$what" "bin/status does not say '$words': $said"
    today=$(sign_in_as_lead "$words" 2>&1) || [ "${5:-}" = away ] || wrong "$what" "Today: $today"
    told "$what" "/up $up, status $code, Today: ${today:-says it}"
}
now() { date -u +%Y-%m-%dT%H:%M:%SZ; }
{ echo "backup done $(now) here"; echo "verification done $(now) whole"; } > "$HOME_DIR/told/keeping"
fault "nothing is wrong" 200 0 "records can be written"
close_gate
fault "recording was left closed" 503 1 "Recording has been paused since"
open_gate
echo "backup done 2020-01-01T00:00:00Z here" > "$HOME_DIR/told/keeping"; echo "verification done $(now) whole" >> "$HOME_DIR/told/keeping"
fault "an old backup" 200 4 "No backup since"
{ echo "backup done $(now) here"; echo "verification done $(now) whole"; } > "$HOME_DIR/told/keeping"
ask_records "INSERT INTO jobs (queue, payload, attempts, available_at, created_at) VALUES ('never', '{}', 0, 0, UNIX_TIMESTAMP() - 4000)"
fault "an e-mail that waits for over an hour" 200 4 "waited for more than an hour"
ask_records "DELETE FROM jobs WHERE queue = 'never'"
touch -d '20 minutes ago' "$HOME_DIR/told/started"
supervisor stop queue > /dev/null
touch -d '10 minutes ago' "$HOME_DIR/storage/alive-queue"
fault "a dead worker" 200 4 "e-mail worker has not responded"
supervisor start queue > /dev/null
supervisor stop keep > /dev/null
touch -d '10 minutes ago' "$HOME_DIR/told/keeper"
fault "a keeper that does not run" 200 4 "verification service has not responded"
supervisor start keep > /dev/null
until_true 20 "the worker again" test "$(find "$HOME_DIR/storage/alive-queue" -mmin -1)" > /dev/null
head=$(ask_records "SELECT at FROM ledger ORDER BY seq DESC LIMIT 1")
ask_records "SET FOREIGN_KEY_CHECKS = 0; UPDATE ledger SET at = UTC_TIMESTAMP() + INTERVAL 1 HOUR ORDER BY seq DESC LIMIT 1"
fault "a clock behind the records" 503 1 "clock is behind the records"
ask_records "UPDATE ledger SET at = '$head' ORDER BY seq DESC LIMIT 1"
if [ $short = 0 ]; then
    # shellcheck disable=SC2046
    kill -STOP $(ours mariadb)
    fault "a database that hangs" 503 1 "nothing can be recorded" away
    # shellcheck disable=SC2046
    kill -CONT $(ours mariadb)
    until_true 60 "the database again" page_answers > /dev/null
fi
supervisor stop mariadb > /dev/null
fault "a database that is away" 503 1 "mariadb.*not running" away
code=0; on "$ROOT/bin/verify" > "$scratch/verify" 2>&1 || code=$?
[ $code = 3 ] || wrong "a check while the database is away" "bin/verify ends with $code: $(tail -n 2 "$scratch/verify")"
supervisor start mariadb > /dev/null
until_true 60 "the database again" page_answers > /dev/null
! grep -q '^verification failed' "$HOME_DIR/told/keeping" || wrong "a check while the database was away" "counts as one that failed"
told "a check while the database is away" "could not be done, exit code 3; no difference is claimed"
on "$ROOT/bin/verify" > /dev/null 2>&1 || wrong "records after the faults" "differ"
