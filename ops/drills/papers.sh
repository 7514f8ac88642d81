# docs/operations.md, followed from its top to its end by somebody who has nothing else: a plant of one's own on a clean clone.
on "$ROOT/bin/stop" > /dev/null 2>&1
clean_clone=$scratch/srv
mkdir "$clean_clone"; chmod 755 "$clean_clone"
for part in app artisan bin bootstrap composer.json composer.versions config core database docs ops package.json package-lock.json public resources routes vite.config.js vendor; do cp -a "$ROOT/$part" "$clean_clone/"; done
mkdir -p "$clean_clone/node_modules" "$clean_clone/var"
cp "$ROOT/node_modules/.package-lock.json" "$clean_clone/node_modules/"; cp "$ROOT"/var/*.stamp "$clean_clone/var/"
first() { RHEACID_PORT=$port RHEACID_DB_PORT=$database_port "$@"; }
there() { (cd "$clean_clone" && env -u RHEACID_INSTANCE "$@"); }
trap 'there bin/stop > /dev/null 2>&1 || true; clean; rm -rf "$scratch"' EXIT
# step WHAT COMMAND…: as it stands in the paper, from the directory of the clone.
step() { local what=$1; shift; there "$@" > "$scratch/step" 2>&1 || wrong "paper: $what" "$(tail -n 3 "$scratch/step")"; }
(umask 077; first step "a plant of your own" bin/start --empty --detach)
code=$(sed -n 's/.*(it works once): //p' "$scratch/step") key=$(sed -n 's/.*your backups by it: //p' "$scratch/step")
[ -n "$code" ] && [ ${#key} = 64 ] || wrong "paper: a plant of your own" "prints no code or no key"
php "$ROOT/ops/drill-found.php" "$port" set-up "$code" > "$scratch/found" || wrong "paper: the first page" "$(cat "$scratch/found")"
code=0; there bin/status > "$scratch/status" 2>&1 || code=$?
[ $code = 0 ] || [ $code = 4 ] || wrong "paper: how it stands" "$(cat "$scratch/status")"
grep -q "$key" "$scratch/status" || wrong "paper: how it stands" "status prints another key"
told "paper: set-up by the code, and how it stands" "the page answers; status ends with $code"
step "self-test" bin/status --self-test
step "who signs in" bin/person
step "a forgotten passphrase" bin/person sela
php "$ROOT/ops/drill-found.php" "$port" join "$(grep -o '[A-Z0-9]\{4\}-[A-Z0-9]\{4\}-[A-Z0-9]\{4\}' "$scratch/step")" > "$scratch/found" || wrong "paper: a forgotten passphrase" "$(cat "$scratch/found")"
told "paper: a forgotten passphrase" "comes in by the code of bin/person"
step "proof" bin/verify
step "proof since" bin/verify --since
mkdir "$scratch/other-disk"
step "backup elsewhere" bin/backup "$scratch/other-disk" --rotate
step "down" bin/stop
mv "$clean_clone/var/plant" "$scratch/lost"
mv "$clean_clone/var/plant.keys" "$scratch/lost.keys"
file=$(ls "$scratch"/other-disk/*.tar)
(umask 077; first step "restore" bin/restore "$file" --key="$key")
first step "start after a restore" bin/start --detach
php "$ROOT/ops/drill-found.php" "$port" sign-in > "$scratch/found" || wrong "paper: restored" "$(cat "$scratch/found")"
grep -q 'Restored from a backup' "$scratch/found" || wrong "paper: restored" "Today does not say so"
told "paper: backup elsewhere, home lost, restore, under umask 077" "the lead signs in, and Today asks to confirm"
newer=$scratch/newer
mkdir "$newer"; cp -a "$clean_clone/." "$newer/"; rm -rf "$newer"/var/plant* "$newer"/var/*.lock
step "upgrade" bin/upgrade "$newer"
php "$ROOT/ops/drill-found.php" "$port" sign-in > "$scratch/found" || wrong "paper: upgraded" "$(cat "$scratch/found")"
clean_clone=$newer
step "proof after the upgrade" bin/verify
step "down" bin/stop
told "paper: upgrade" "the lead signs in on the new version, with the same passphrase"
# As the units would run it: the same commands, the same environment, the same accounts.
! command -v systemd-analyze > /dev/null || { mkdir "$scratch/units"; for unit in "$ROOT"/ops/systemd/*.service "$ROOT"/ops/systemd/*.timer; do sed "s|/srv/rheacid|$newer|; s|EnvironmentFile=/etc/rheacid|EnvironmentFile=-/etc/rheacid|" "$unit" > "$scratch/units/$(basename "$unit")"; done; systemd-analyze verify "$scratch"/units/*.service "$scratch"/units/*.timer > "$scratch/analyze" 2>&1 || true; ! grep -v "rheacid@.service\|man:" "$scratch/analyze" | grep -q "$scratch/units" || wrong "paper: units" "$(cat "$scratch/analyze")"; }
sed "s|/srv/rheacid|$newer|; s|=8070 23070 23170|='$port $database_port $((database_port + 100))'|" "$newer/ops/systemd/rheacid.env" > "$scratch/unit.env"
served=()
for name in mariadb php-fpm nginx queue scheduler; do
    as=(); ! is_root || as=(setpriv "--reuid=$([ $name = mariadb ] && echo $DATABASE_USER || echo $SERVICE_USER)" "--regid=$([ $name = mariadb ] && echo $DATABASE_USER || echo $SERVICE_USER)" --init-groups)
    (set -a; . "$scratch/unit.env"; set +a; exec "${as[@]}" "$newer/ops/serve" $name) > "$scratch/serve-$name" 2>&1 & served+=($!)
    [ $name != mariadb ] || sleep 4
done
until_true 30 "paper: the commands of the units" page_answers > /dev/null
there bin/verify > "$scratch/verify" 2>&1 || wrong "paper: proof under the units" "$(tail -n 2 "$scratch/verify")"
(set -a; . "$scratch/unit.env"; set +a; "$newer/ops/keep" --once) > "$scratch/keep" 2>&1 || wrong "paper: the keeper's unit" "$(tail -n 2 "$scratch/keep")"
kill "${served[@]}" 2> /dev/null || true
step "down" bin/stop
told "paper: the commands of the units" "serve, prove and back up"
trap 'clean; rm -rf "$scratch"' EXIT
rm -rf "$newer" "$scratch/srv" "$scratch/lost"
