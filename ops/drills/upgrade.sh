# To a new version while people record: one that breaks, then one that works, killed at moments all over it and run again or taken
# back each time. Every note that was acknowledged is in the new one.
breaks=10
up
next=$scratch/next
git clone -q "$ROOT" "$next" 2> /dev/null || cp -a "$ROOT" "$next"
rm -rf "$next/var"
for part in app core config database ops bin routes resources bootstrap; do rm -rf "${next:?}/$part"; cp -a "$ROOT/$part" "$next/$part"; done
for part in vendor node_modules public/build; do [ ! -d "$ROOT/$part" ] || { mkdir -p "$(dirname "$next/$part")"; cp -a "$ROOT/$part" "$next/$part"; }; done
mkdir -p "$next/var" && cp "$ROOT"/var/*.stamp "$next/var/"
throws_half_way > "$next/database/migrations/2999_01_01_000000_drill.php"
begin_recording u
on "$ROOT/bin/upgrade" "$next" > "$scratch/upgrade" 2>&1 && wrong "upgrade to a broken version" "went through"
{ page_answers && [ ! -e "$next/var/drill" ] && [ ! -e "$HOME_DIR/root/upgrading" ]; } || wrong "upgrade to a broken version" "the old one is not as it was: $(tail -n 2 "$scratch/upgrade")"
told "upgrade to a version that breaks" "the old one went on as it was"
rm -f "$next/database/migrations/2999_01_01_000000_drill.php"
for ((i = 0; i < breaks; i++)); do
    on killed_at $((2 + 90 * i / breaks)) "$ROOT/bin/upgrade" "$next"
    [ ! -e "$HOME_DIR/root/upgrading" ] || [ -e "$next/var/drill/root/settled" ] || { case "$(page_says | head -n 1)" in *' 503'*) ;; *) sleep 1 ;; esac; on "$ROOT/bin/status" > "$scratch/status" 2>&1 || true; grep -q 'was interrupted' "$scratch/status" || wrong "an upgrade that was killed" "bin/status does not say so"; }
    # Every other time it is taken back, and people record again; else the next run goes on from there.
    if [ $((i % 2)) = 0 ] && [ -e "$HOME_DIR/root/upgrading" ] && [ ! -e "$next/var/drill/root/settled" ]; then
        on "$ROOT/bin/upgrade" --back > "$scratch/back" 2>&1 || wrong "taken back" "$(tail -n 2 "$scratch/back")"
        until_true 30 "recording after it was taken back" page_answers > /dev/null
    fi
    [ ! -e "$next/var/drill/root/settled" ] || break
done
[ -e "$next/var/drill/root/settled" ] && [ ! -e "$HOME_DIR/root/upgrading" ] || on "$ROOT/bin/upgrade" "$next" > "$scratch/upgrade" 2>&1 || wrong "upgrade" "$(tail -n 3 "$scratch/upgrade")"
page_answers || wrong "upgrade" "no page"
sleep 2
end_recording
[ "$(on "$next/bin/status" 2> /dev/null | grep -c '^supervisor.*running')" = 1 ] || wrong "upgrade" "the new one is not watched over"
on "$next/bin/verify" > "$scratch/verify" 2>&1 || wrong "upgraded, verified" "$(tail -n 3 "$scratch/verify")"
DATABASE_PORT=$database_port
(home_at "$next/var/drill"; count_records "notes of four people over the upgrade, in the new version") || exit 1
[ "$(php "$ROOT/ops/sign.php" public "$next/var/drill/root/signing-key")" = "$(public_key)" ] || wrong "upgrade" "the backup key is another"
on "$next/bin/stop" > /dev/null 2>&1 || wrong "upgraded, stopped" "it does not stop"
told "upgrade, killed at moments all over it, then whole" "the new one took its place, proven"
# The old one stands closed, with the records as they were; the drill goes on with it.
on "$ROOT/bin/start" --detach > "$scratch/start" 2>&1 || true
[ "$(page_says | head -n 1 | cut -d ' ' -f 2)" = 503 ] || wrong "the old one, started again" "$(page_says | head -n 1) $(tail -n 2 "$scratch/start")"
open_gate
rm -rf "$next"
