# Where it is put: other paths, umask, language and account. It works, or says in one line why not.
on "$ROOT/bin/stop" > /dev/null 2>&1
# put PATH: this version there, with what was installed.
put() {
    mkdir -p "$1"
    for part in app artisan bin bootstrap composer.json composer.versions config core database ops package.json package-lock.json public resources routes vite.config.js vendor; do cp -a "$ROOT/$part" "$1/"; done
    mkdir -p "$1/node_modules" "$1/var"
    cp "$ROOT/node_modules/.package-lock.json" "$1/node_modules/"
    cp "$ROOT"/var/*.stamp "$1/var/"
}
at() { RHEACID_INSTANCE=drill RHEACID_PORT=$port RHEACID_DB_PORT=$database_port "$@"; }
mkdir "$scratch/put"; chmod 755 "$scratch/put"
for bad in "with space" "größe" "tab	bed" "$(printf 'x%.0s' {1..80})"; do
    put "$scratch/put/$bad"
    code=0; at "$scratch/put/$bad/bin/start" --detach > "$scratch/said" 2>&1 || code=$?
    [ $code = 1 ] && [ "$(wc -l < "$scratch/said")" = 1 ] && grep -q 'does not run in' "$scratch/said" || wrong "in a directory '$bad'" "ended with $code: $(tail -n 2 "$scratch/said")"
    rm -rf "${scratch:?}/put/$bad"
done
told "in a directory with a space, other letters, a long name" "says in one line why not"
put "$scratch/put/here"
ln -s "$scratch/put/here" "$scratch/put/link"
(umask 077; LANG=tr_TR.UTF-8 LC_ALL=tr_TR.UTF-8 at "$scratch/put/link/bin/start" --detach) > "$scratch/said" 2>&1 || wrong "through a link, umask 077, another language" "$(tail -n 2 "$scratch/said")"
! grep -q '^Set-up:' "$scratch/said" || wrong "in another directory" "what was installed was built anew: $(grep '^Set-up:' "$scratch/said")"
php "$ROOT/ops/drill-page.php" "$port" "$(sed -n 's/^DEMO_PASSPHRASE=//p' "$scratch/put/here/var/drill/.env")" oda 'records can be written' > "$scratch/page" || wrong "through a link, umask 077, another language" "$(cat "$scratch/page")"
curl_code() { php -r '$c = curl_init($argv[1]); curl_setopt($c, CURLOPT_RETURNTRANSFER, true); curl_exec($c); echo curl_getinfo($c, CURLINFO_RESPONSE_CODE);' "$1"; }
asset=$(find "$scratch/put/here/public/build/assets" -name '*.css' | head -n 1)
[ "$(curl_code "http://127.0.0.1:$port/build/assets/$(basename "$asset")")" = 200 ] || wrong "under umask 077" "the styles are not readable"
# What an installation that is up works with is not built anew under it.
echo '/* newer */' >> "$scratch/put/here/resources/js/rheacid.js"
RHEACID_INSTANCE=drill-restored RHEACID_PORT=$((port + 1)) RHEACID_DB_PORT=$((database_port + 1)) "$scratch/put/here/bin/start" --detach > "$scratch/said" 2>&1 && wrong "a second start with newer sources" "built anew under the first"
grep -q 'which would be rebuilt' "$scratch/said" || wrong "a second start with newer sources" "$(tail -n 2 "$scratch/said")"
# Its ports live in the home.
RHEACID_INSTANCE=drill "$scratch/put/here/bin/status" > "$scratch/status" 2>&1 || [ $? = 4 ] || wrong "status without ports in the environment" "$(tail -n 3 "$scratch/status")"
grep -q 'records can be written' "$scratch/status" || wrong "status without ports in the environment" "$(cat "$scratch/status")"
at "$scratch/put/here/bin/stop" > /dev/null 2>&1
told "through a link, under umask 077, with LANG=tr_TR.UTF-8" "works, with what was installed; ports live in the home"
if is_root; then
    make_user rheacid-drill
    rm -rf "$scratch/put/here/var/drill"*
    git -C "$ROOT" diff --quiet -- resources 2> /dev/null || true
    cp "$ROOT/resources/js/rheacid.js" "$scratch/put/here/resources/js/rheacid.js"
    chown -R rheacid-drill: "$scratch/put/here"
    ordinary() { RHEACID_INSTANCE=drill RHEACID_PORT=$port RHEACID_DB_PORT=$database_port HOME=$scratch/put/here/var setpriv --reuid=rheacid-drill --regid=rheacid-drill --init-groups "$@"; }
    ordinary "$scratch/put/here/bin/start" --detach > "$scratch/said" 2>&1 || wrong "as an ordinary user" "$(tail -n 2 "$scratch/said")"
    code=0; ordinary "$scratch/put/here/bin/status" > "$scratch/status" 2>&1 || code=$?
    [ $code = 0 ] || [ $code = 4 ] || wrong "as an ordinary user" "$(cat "$scratch/status")"
    grep -q 'all servers run as rheacid-drill' "$scratch/status" || wrong "as an ordinary user" "status does not say what does not hold: $(cat "$scratch/status")"
    ordinary "$scratch/put/here/bin/verify" > "$scratch/verify" 2>&1 || wrong "as an ordinary user, verified" "$(tail -n 2 "$scratch/verify")"
    ordinary "$scratch/put/here/bin/stop" > /dev/null 2>&1 || wrong "as an ordinary user, stopped" "it does not stop"
    told "as an ordinary user" "works; status says that one account runs all"
fi
rm -rf "$scratch/put"
