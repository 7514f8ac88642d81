# The form of the database and the board, changed by their owner, are named.
up
changed() {
    local what=$1 do=$2 undo=$3 named=$4
    ask_records "$do"
    on "$ROOT/bin/verify" > "$scratch/verify" 2>&1 && wrong "$what" "was not noticed"
    grep -q "$named" "$scratch/verify" || wrong "$what" "$(tail -n 2 "$scratch/verify")"
    ask_records "$undo"
    told "$what" "named"
}
changed "a column that was slipped in" "ALTER TABLE batches ADD COLUMN slipped INT NULL" "ALTER TABLE batches DROP COLUMN slipped" 'batches.slipped'
changed "a procedure" "CREATE PROCEDURE slipped() SELECT 1" "DROP PROCEDURE slipped" 'slipped'
changed "an event" "CREATE EVENT slipped ON SCHEDULE EVERY 1 DAY DO SELECT 1" "DROP EVENT slipped" 'slipped'
held=$(ask_records "SELECT MIN(thing_id) FROM board WHERE part = 'batch' AND state = 'running'")
changed "a running batch that the board shows as released" "UPDATE board SET state = 'released' WHERE part = 'batch' AND thing_id = $held" "UPDATE board SET state = 'running' WHERE part = 'batch' AND thing_id = $held" 'board'
if is_root; then
    as_root() { mariadb --no-defaults --socket="$HOME_DIR/db/mariadb.sock" --user=root --execute="$1"; }
    as_root "CREATE USER 'guest'@'127.0.0.1'"
    on "$ROOT/bin/verify" > "$scratch/verify" 2>&1 && wrong "an account of the database" "was not noticed"
    grep -q 'guest@127.0.0.1' "$scratch/verify" || wrong "an account of the database" "$(tail -n 2 "$scratch/verify")"
    as_root "DROP USER 'guest'@'127.0.0.1'"
    told "an account of the database that nobody made" "named"
fi
proven "after that"
