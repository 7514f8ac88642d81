# The house: everything that must stand before the application can run. Sourced by the scripts in bin/.
# Each step can be interrupted and done again; a step that is already done costs nothing.
set -euo pipefail
# Whatever the shell of the person says: files that everybody reads, and programs that speak one language.
umask 022
export LC_ALL=C.UTF-8

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)
# The PHP that Debian has: 8.2 in release 12, 8.4 in release 13.
PHP_SERIES=8.2
if [ "$(. /etc/os-release && echo "${VERSION_ID:-0}" | cut -d. -f1)" = 13 ]; then PHP_SERIES=8.4; fi
# curl and zip are asked for by the libraries of the tests, which Composer installs with the rest.
RUN_PACKAGES=("php$PHP_SERIES"-{cli,fpm,mysql,mbstring,xml,intl,curl,zip} nginx mariadb-server supervisor gpg)
TEST_PACKAGES=(chromium chromium-driver python3-scipy python3-uncertainties python3-iapws units oathtool)
# Who serves pages, who keeps the database, and who works as the owner of the records. No account reads or writes what is
# another's, and root runs nothing that one of them can write.
SERVICE_USER=rheacid
DATABASE_USER=rheacid-db
OWNER_USER=rheacid-owner
# A database that hangs is away for a command too, though proofs and migrations may take their time.
PATIENCE=(-d mysqlnd.net_read_timeout=30)
SERVERS=(mariadb php-fpm nginx queue scheduler mailbox)


say() { printf '%s\n' "$*" >&2; }
fail() { say "$@"; exit 1; }
is_root() { [ "$(id -u)" = 0 ]; }

# Supervisor and nginx read paths word by word, and the path of a socket holds 107 bytes.
case "$ROOT" in *[!A-Za-z0-9._/+@-]*) fail "Rheacid does not run in $ROOT: its path may contain only letters a to z, digits, and . _ + @ -. Move the directory." ;; esac
[ ${#ROOT} -le 70 ] || fail "Rheacid does not run in $ROOT: its path may have at most 70 characters. Move the directory."

# instance NAME WEB_PORT DATABASE_PORT: which of the installations on this machine is meant (demo, test, pictures).
instance() {
    INSTANCE=$1 WEB_PORT=$2 DATABASE_PORT=$3
    MAIL_PORT=${RHEACID_MAIL_PORT:-$((DATABASE_PORT + 100))}
    home_at "$ROOT/var/$INSTANCE"
    # Beside the home, not in it: they outlive one that is lost.
    HEADS_FILE=$ROOT/var/$INSTANCE.heads
    GONE_FILE=$ROOT/var/$INSTANCE.gone
    KEYS_FILE=$ROOT/var/$INSTANCE.keys
}

home_at() {
    HOME_DIR=$1
    ENV_FILE=$HOME_DIR/.env
    OWNER_FILE=$HOME_DIR/root/owner.env
    export RHEACID_HOME=$HOME_DIR
}

# choose_instance: the one that is named; else a plant of one's own, where there is one; else the demo. Both can run at once.
# Ports of the environment count until it was started once; from then on those in the home do.
choose_instance() {
    local name=${RHEACID_INSTANCE:-} url
    if [ -z "$name" ]; then if [ -d "$ROOT/var/plant" ]; then name=plant; else name=demo; fi; fi
    case "$name" in *[!A-Za-z0-9-]*) fail "RHEACID_INSTANCE=$name: use letters, digits and - only." ;; esac
    if [ "$name" = plant ]; then instance plant "${RHEACID_PORT:-8070}" "${RHEACID_DB_PORT:-23070}"; else instance "$name" "${RHEACID_PORT:-8090}" "${RHEACID_DB_PORT:-23090}"; fi
    [ -r "$ENV_FILE" ] && [ -e "$HOME_DIR/root/settled" ] || return 0
    url=$(env_value APP_URL) WEB_PORT=${url##*:} DATABASE_PORT=$(env_value DB_PORT) MAIL_PORT=$(env_value MAILBOX_PORT)
    [ "$WEB_PORT $DATABASE_PORT" = "${RHEACID_PORT:-$WEB_PORT} ${RHEACID_DB_PORT:-$DATABASE_PORT}" ] || say "Note: this installation uses the ports $WEB_PORT and $DATABASE_PORT. Change them in $ENV_FILE."
}

need_var() {
    { mkdir -p "$ROOT/var" && [ -w "$ROOT/var" ]; } 2>/dev/null || fail "$ROOT/var is not writable for $(id -un). Run this as the owner of the project, or as root."
}

# A lock that another account could open would be one that it can hold.
private_file() { [ -e "$1" ] || (umask 077; : >> "$1"); chmod 600 "$1" 2> /dev/null || fail "$1 belongs to another account. Run this as its owner, or as root."; }

# One set-up at a time: two scripts started together wait for one another instead of building the same files.
with_setup_lock() {
    need_var
    private_file "$ROOT/var/setup.lock"
    exec 9>"$ROOT/var/setup.lock"
    flock -n 9 || { say "Waiting for another set-up to finish …"; flock 9; }
    "$@"
    exec 9>&-
}

install_packages() {
    local missing=() package
    for package in "$@"; do
        [ "$(dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null)" = installed ] || missing+=("$package")
    done
    [ ${#missing[@]} -gt 0 ] || return 0
    is_root || fail "These Debian packages are missing: ${missing[*]}. Run this once as root, or install them, then start again."
    say "Installing Debian packages: ${missing[*]}"
    # Service starts are blocked so that no system-wide nginx or MariaDB comes up; a rule that is there already is kept.
    local policy=/usr/sbin/policy-rc.d ours=0
    # One of ours that an interrupted start has left is ours again.
    if [ ! -e $policy ] || grep -q '^# rheacid' $policy; then ours=1; printf '#!/bin/sh\n# rheacid: no service comes up while packages are installed\nexit 101\n' > $policy; chmod +x $policy; fi
    local log=$ROOT/var/packages.log status=0
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } > "$log" 2>&1 || status=$?
    [ $ours = 0 ] || rm -f $policy
    [ $status = 0 ] || { tail -n 15 "$log" >&2; fail "The Debian packages could not be installed; the whole log is $log. Check the network connection, then start again."; }
}

# stamped NAME COMMAND NEEDED FILE…: does a step unless its files, named from the root of the project, are as they were when it
# last succeeded. The stamp is written only after success, so an interrupted step is done again.
stamped() {
    local name=$1 command=$2 needed=$3 fingerprint; shift 3
    fingerprint=$(cd "$ROOT" && sha256sum "$@" | sha256sum)
    if [ -e "$ROOT/$needed" ] && [ "$(cat "$ROOT/var/$name.stamp" 2>/dev/null)" = "$fingerprint" ]; then return 0; fi
    no_one_is_up "$name"
    say "Set-up: $name"
    "$command" > "$ROOT/var/$name.log" 2>&1 || { tail -n 15 "$ROOT/var/$name.log" >&2; fail "Set-up step '$name' failed; the whole log is var/$name.log. Correct the problem (often the network connection), then start again."; }
    printf '%s\n' "$fingerprint" > "$ROOT/var/$name.stamp"
}

# What an installation that is up works with is not built anew under it.
no_one_is_up() {
    local home
    for home in "$ROOT"/var/*/; do
        [ ! -S "$home/root/supervisor.sock" ] || ! supervisorctl -c "$home/root/supervisord.conf" pid > /dev/null 2>&1 \
            || fail "The installation in ${home%/} is running and uses '$1', which would be rebuilt. Stop it first: RHEACID_INSTANCE=$(basename "$home") bin/stop"
    done
}

# Just the versions that are written down, those that come along too; a difference stops the set-up. Composer finds nothing in
# its cache where a package server gives no dates, so what was installed once is laid aside whole: by it another directory is
# set up without a network.
packages_installed() { (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer show --format=json 2>/dev/null | php -r 'foreach (json_decode(stream_get_contents(STDIN), true)["installed"] as $one) { echo "$one[name] ", ltrim($one["version"], "v"), "\n"; }' | sort); }
composer_install() {
    local wanted=() name version aside
    aside=${XDG_CACHE_HOME:-${HOME:-/root}/.cache}/rheacid/vendor-$(cat "$ROOT/composer.json" "$ROOT/composer.versions" | sha256sum | cut -c1-16).tar.gz
    while read -r name version; do wanted+=(--with "$name:$version"); done < "$ROOT/composer.versions"
    if [ -s "$aside" ] && rm -rf "$ROOT/vendor" && tar -xzf "$aside" -C "$ROOT"; then
        (cd "$ROOT" && COMPOSER_DISABLE_NETWORK=1 COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload --no-interaction) || return 1
    else
        (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress --prefer-dist "${wanted[@]}") || return 1
    fi
    diff "$ROOT/composer.versions" <(packages_installed) || { rm -f "$aside"; echo "The installed packages differ from composer.versions; ops/packages --renew rewrites that file."; return 1; }
    [ -s "$aside" ] || { mkdir -p "$(dirname "$aside")" && tar -czf "$aside.new" -C "$ROOT" vendor && mv "$aside.new" "$aside"; } || true
}
npm_install() { (cd "$ROOT" && npm ci --no-audit --no-fund --prefer-offline); }
build_assets() { (cd "$ROOT" && npm run build); }

install_libraries() {
    local sources
    stamped composer composer_install vendor/autoload.php composer.json composer.versions
    stamped npm npm_install node_modules/.package-lock.json package.json package-lock.json
    mapfile -t sources < <(cd "$ROOT" && find resources/css resources/js vite.config.js package-lock.json -type f | sort)
    stamped assets build_assets public/build/manifest.json "${sources[@]}"
}

set_up_with_tests() {
    install_packages "${RUN_PACKAGES[@]}" "${TEST_PACKAGES[@]}"
    install_libraries
}

# As root the servers run as unprivileged users; where those cannot reach the project (a private directory), the servers of
# a demo or a test run as root, and that is said.
choose_user() {
    RUN_AS=() DB_AS=() OWNER_AS=()
    is_root || return 0
    make_user $SERVICE_USER
    RUN_AS=(setpriv --reuid=$SERVICE_USER --regid=$SERVICE_USER --init-groups)
    if ! as_service test -r "$ROOT/composer.json" 2>/dev/null; then
        RUN_AS=()
        case "$INSTANCE" in demo|test*|pictures|bench|drill*) ;; *) fail "The user $SERVICE_USER cannot read $ROOT, and no server runs as root. Use a directory that others can enter." ;; esac
        say "Note: the user $SERVICE_USER cannot read $ROOT, so the servers run as root. Use a directory that other accounts can enter."
    fi
    DB_AS=("${RUN_AS[@]}") OWNER_AS=("${RUN_AS[@]}")
}

# The database, and work as the owner of the records, under users of their own: neither reads what the other keeps.
choose_users() {
    choose_user
    [ ${#RUN_AS[@]} -gt 0 ] || return 0
    make_user $DATABASE_USER
    # It reads the settings, as the servers do.
    make_user $OWNER_USER --groups $SERVICE_USER
    DB_AS=(setpriv --reuid=$DATABASE_USER --regid=$DATABASE_USER --init-groups)
    OWNER_AS=(setpriv --reuid=$OWNER_USER --regid=$OWNER_USER --init-groups)
}

make_user() { id "$1" >/dev/null 2>&1 || useradd --system --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "${@:2}" "$1"; }
user_of() { case "$1" in mariadb) echo "${DB_AS[1]:-}" ;; owner) echo "${OWNER_AS[1]:-}" ;; *) echo "${RUN_AS[1]:-}" ;; esac | sed 's/^--reuid=//'; }

as_service() { "${RUN_AS[@]}" "$@"; }
as_database() { "${DB_AS[@]}" "$@"; }
port_open() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Where a server stands, and what it runs: by both its processes are known, whoever their parent is. A number in a file may
# belong to somebody else by now.
place_of() { case "$1" in mariadb) echo "$HOME_DIR/mysql" ;; keep) echo "$HOME_DIR/root/at/keep" ;; *) echo "$HOME_DIR/run/at/$1" ;; esac; }
binary_of() {
    case "$1" in
        mariadb) echo /usr/sbin/mariadbd ;;
        nginx) echo /usr/sbin/nginx ;;
        php-fpm) echo "/usr/sbin/php-fpm$PHP_SERIES" ;;
        keep) readlink -f "$BASH" ;;
        *) readlink -f "$(command -v php)" ;;
    esac
}

ours() {
    local place binary pid
    place=$(place_of "$1") binary=$(binary_of "$1")
    for pid in /proc/[0-9]*; do
        [ "$pid/cwd" -ef "$place" ] || continue
        if [ "$pid/exe" -ef "$binary" ]; then echo "${pid#/proc/}"; fi
    done
}

# Shells that are about to become a server: a supervisor that was killed leaves them, and they would become a second one.
becoming() {
    local pid
    for pid in /proc/[0-9]*; do
        [ "$pid/cwd" -ef "$(place_of "$1")" ] && [ "$pid/exe" -ef "$BASH" ] && [ "${pid#/proc/}" != $$ ] && [ "$(cut -d ' ' -f 4 "$pid/stat" 2> /dev/null)" != $$ ] && echo "${pid#/proc/}"
    done
    true
}
is_up() { [ -n "$(ours "$1")" ]; }
living() { local name; for name in "${SERVERS[@]}" keep; do ours "$name"; done; }
# Those that this installation has: where a mail server is named, nothing stands in for one.
servers() { printf '%s\n' "${SERVERS[@]}" | { if [ -n "$(env_value MAIL_HOST)" ]; then grep -v mailbox; else cat; fi; }; }

# end NAME SIGNAL [SECONDS]: asks all processes of a server to end, and ends those that do not listen.
end() {
    local pids tries=0 most=$((${3:-10} * 10))
    # shellcheck disable=SC2046
    [ "$1" = keep ] || kill -KILL $(becoming "$1") 2> /dev/null || true
    pids=$(ours "$1")
    [ -n "$pids" ] || return 0
    # shellcheck disable=SC2086
    kill "-$2" $pids 2>/dev/null || true
    while is_up "$1"; do
        tries=$((tries + 1))
        # shellcheck disable=SC2046
        [ $tries -lt $most ] || { kill -KILL $(ours "$1") 2>/dev/null || true; }
        [ $tries -lt $((most + 50)) ] || fail "$1 does not stop: process $(ours "$1" | tr '\n' ' ')."
        sleep 0.1
    done
}

need_free_port() {
    ! port_open "$1" || fail "Port $1 on 127.0.0.1 is used by another program. Stop that program, or choose another port: $2=… at the first start, later in $ENV_FILE."
}

# private USER DIR…: directories of the home that one account alone looks into. They are handed over once: what that account
# has put there since, root follows nowhere.
private() {
    local user=$1 directory; shift
    for directory in "${@/#/$HOME_DIR/}"; do
        mkdir -p -m 700 "$directory"
        [ -z "$user" ] || [ "$(stat -c %U "$directory")" = "$user" ] || chown -hR "$user:" "$directory"
        chmod 700 "$directory"
    done
}

# make_home [NAME=VALUE …]: the directories and settings of this instance. Settings, sessions and caches hold keys and
# passwords: nobody else of the machine looks in.
make_home() {
    local setting storage='framework/cache/data framework/sessions framework/views logs' part
    mkdir -p "$HOME_DIR"/{conf,told,root/log,root/at/keep}
    chmod 711 "$HOME_DIR"
    chmod 755 "$HOME_DIR"/{conf,told}
    chmod 700 "$HOME_DIR/root"
    private "$(user_of nginx)" log run storage cache tmp mail
    private "$(user_of mariadb)" db
    private "$(user_of owner)" owner
    [ ! -d "$HOME_DIR/mysql" ] || private "$(user_of mariadb)" mysql
    as_service mkdir -p "$HOME_DIR"/run/at/{php-fpm,nginx,queue,scheduler,mailbox}
    as_database mkdir -p "$HOME_DIR/db/tmp"
    for part in $storage; do as_service mkdir -p "$HOME_DIR/storage/$part"; "${OWNER_AS[@]}" mkdir -p "$HOME_DIR/owner/storage/$part" "$HOME_DIR/owner/cache"; done
    if [ ! -s "$ENV_FILE" ]; then
        (umask 077; cat > "$ENV_FILE.new" <<TEXT
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
DB_APP_PASSWORD=$(fresh_password)
KEEP_AT=${RHEACID_KEEP_AT:-02:30}
BACKUPS=${RHEACID_BACKUPS:-}
TEXT
        )
        # A plant of one's own has nobody in it until its lead comes in by the code that bin/start prints.
        [ -n "${EMPTY:-}" ] || cat >> "$ENV_FILE.new" <<TEXT
DEMO_PIN=$(shuf -i 200000-999998 -n 1)
DEMO_PASSPHRASE=$(shuf -n 1 -e apple barley cider dill fennel)-$(shuf -n 1 -e amber copper linen slate walnut)-$(shuf -i 100-999 -n 1)
TEXT
        mv "$ENV_FILE.new" "$ENV_FILE"
    fi
    # What was worked out from other settings is worked out anew.
    as_service find "$HOME_DIR/cache" -name '*.php' -delete
    # The owner of the records is nobody's but root's: no server knows that password.
    if [ ! -s "$OWNER_FILE" ]; then
        local password; password=$(env_value DB_OWNER_PASSWORD)
        (umask 077; echo "DB_OWNER_PASSWORD=${password:-$(fresh_password)}" > "$OWNER_FILE.new")
        mv "$OWNER_FILE.new" "$OWNER_FILE"
    fi
    make_signing_key
    # Nobody looks into it while it is written either.
    (umask 077; {
        # Where no mail server is named, the port is that of the stand-in.
        [ -n "$(env_value MAIL_HOST)" ] || sed -i '/^MAIL_PORT=/d' "$ENV_FILE"
        sed '/^\(APP_URL\|APP_ENV\|BCRYPT_ROUNDS\|CLOCK_FILE\|DB_PORT\|MAILBOX_PORT\|DB_OWNER_PASSWORD\|APP_[A-Z]*_CACHE\)=/d' "$ENV_FILE" | { if [ $# = 0 ]; then cat; else grep -v "$(printf '^%s=\\|' "${@%%=*}" | sed 's/\\|$//')" || true; fi; }
        echo "APP_URL=http://127.0.0.1:$WEB_PORT"
        echo "DB_PORT=$DATABASE_PORT"
        echo "MAILBOX_PORT=$MAIL_PORT"
        for setting in "$@"; do echo "$setting"; done
        for part in SERVICES PACKAGES CONFIG ROUTES EVENTS; do echo "APP_${part}_CACHE=$HOME_DIR/cache/${part,,}.php"; done
    } > "$ENV_FILE.new")
    # Read by the servers, written by root alone: what root reads as settings no server has a hand in.
    if [ ${#RUN_AS[@]} = 0 ]; then chmod 600 "$ENV_FILE.new"; else chown "root:$(user_of nginx)" "$ENV_FILE.new"; chmod 640 "$ENV_FILE.new"; fi
    mv "$ENV_FILE.new" "$ENV_FILE"
    # Where it stood before this version.
    [ -e "$HOME_DIR/told/keeping" ] || as_service cat "$HOME_DIR/storage/keeping" > "$HOME_DIR/told/keeping" 2> /dev/null || true
    local rate=60
    # Timings and attackers ask as fast as they are answered.
    case "$INSTANCE" in bench|attack) rate=5000 ;; esac
    local trusted; trusted=$(env_value TRUSTED_PROXY)
    case "$trusted" in *[!0-9a-f.:]*) fail "TRUSTED_PROXY=$trusted in $ENV_FILE: one address like 127.0.0.1 is accepted." ;; esac
    for part in php-fpm nginx; do
        sed -e "s|@ROOT@|$ROOT|g; s|@HOME@|$HOME_DIR|g; s|@PORT@|$WEB_PORT|g; s|@RATE@|$rate|g; s|@PROXY@|${trusted:+set_real_ip_from $trusted; real_ip_header X-Forwarded-For;}|g" "$ROOT/ops/$part.conf" > "$HOME_DIR/conf/$part.conf"
    done
}

fresh_password() { head -c 18 /dev/urandom | base64 | tr '+/' 'xy'; }
env_value() { sed -n "s/^$1=//p" "$ENV_FILE" | tail -n 1; }
owner_password() { sed -n 's/^DB_OWNER_PASSWORD=//p' "$OWNER_FILE"; }
artisan() { as_service php "${PATIENCE[@]}" "$ROOT/artisan" "$@"; }

# Every manifest of a backup is signed: whoever knows the public half, which is to be kept elsewhere as well, knows that this
# installation made it.
make_signing_key() {
    local secret=$HOME_DIR/root/signing-key
    [ ! -s "$secret" ] || return 0
    (umask 077; php "$ROOT/ops/sign.php" new > "$secret.new")
    mv "$secret.new" "$secret"
}
public_key() { php "$ROOT/ops/sign.php" public "$HOME_DIR/root/signing-key"; }
note_key() { local key; key=$(public_key); grep -qs "$key" "$KEYS_FILE" || (umask 077; echo "$(date -u +%Y-%m-%dT%H:%M:%SZ) $key" >> "$KEYS_FILE"); }

# As the owner of the records, by an account of its own, with caches and files that no server writes.
owner_artisan() {
    local part at=()
    for part in SERVICES PACKAGES CONFIG ROUTES EVENTS; do at+=("APP_${part}_CACHE=$HOME_DIR/owner/cache/${part,,}.php"); done
    "${OWNER_AS[@]}" env "${at[@]}" RHEACID_STORAGE="$HOME_DIR/owner/storage" DB_OWNER_PASSWORD="$(owner_password)" php "$ROOT/artisan" "$@"
}

# What the database sets at each of its starts, so that accounts always match the generated passwords. The application's
# account gets its rights table by table after the migrations; it never holds one on the whole schema.
write_accounts() {
    # Who may not read the owner's password leaves what stands.
    [ -r "$OWNER_FILE" ] || return 0
    local file=$HOME_DIR/accounts.sql
    (umask 077; cat > "$file.new" <<TEXT
CREATE DATABASE IF NOT EXISTS rheacid CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'rheacid_owner'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'rheacid_app'@'127.0.0.1';
ALTER USER 'rheacid_owner'@'127.0.0.1' IDENTIFIED BY '$(sql_text "$(owner_password)")';
ALTER USER 'rheacid_app'@'127.0.0.1' IDENTIFIED BY '$(sql_text "$(env_value DB_APP_PASSWORD)")';
GRANT ALL PRIVILEGES ON rheacid.* TO 'rheacid_owner'@'127.0.0.1' WITH GRANT OPTION;
GRANT ALL PRIVILEGES ON rheacid_scratch.* TO 'rheacid_owner'@'127.0.0.1';
DROP USER IF EXISTS 'rheacid_import'@'127.0.0.1';
TEXT
    # Who lays a backup in writes its tables and nothing else.
    [ -z "${IMPORT_PASSWORD:-}" ] || cat >> "$file.new" <<TEXT
CREATE USER 'rheacid_import'@'127.0.0.1' IDENTIFIED BY '$(sql_text "$IMPORT_PASSWORD")';
GRANT SELECT, INSERT, CREATE, DROP, ALTER, INDEX, REFERENCES, LOCK TABLES ON rheacid.* TO 'rheacid_import'@'127.0.0.1';
TEXT
    )
    [ ${#DB_AS[@]} = 0 ] || { chown "root:$(user_of mariadb)" "$file.new"; chmod 640 "$file.new"; }
    mv "$file.new" "$file"
}

sql_text() { printf '%s' "$1" | sed "s/[\\\\']/\\\\&/g"; }

lay_out_database() {
    local data=$HOME_DIR/mysql
    if [ ! -d "$data" ]; then
        rm -rf "$data.new"
        mkdir -m 700 "$data.new"
        [ ${#DB_AS[@]} = 0 ] || chown "$(user_of mariadb):" "$data.new"
        as_database mariadb-install-db --no-defaults --datadir="$data.new" --skip-test-db --auth-root-authentication-method=socket > "$HOME_DIR/root/log/mariadb-install.log" 2>&1 \
            || { tail -n 10 "$HOME_DIR/root/log/mariadb-install.log" >&2; fail "MariaDB could not create its data in $data."; }
        mv "$data.new" "$data"
    fi
    write_accounts
}

# command_of NAME: how a server is run in the foreground.
command_of() {
    local as_root=()
    case "$1" in
        mariadb)
            if [ "$(id -u)" = 0 ] && [ ${#DB_AS[@]} = 0 ]; then as_root=(--user=root); fi
            COMMAND=(/usr/sbin/mariadbd --no-defaults "${as_root[@]}" --datadir="$HOME_DIR/mysql" --tmpdir="$HOME_DIR/db/tmp" --socket="$HOME_DIR/db/mariadb.sock" --pid-file="$HOME_DIR/db/mariadb.pid"
                --bind-address=127.0.0.1 --port="$DATABASE_PORT" --skip-name-resolve --init-file="$HOME_DIR/accounts.sql"
                --innodb-buffer-pool-size=128M --innodb-flush-log-at-trx-commit="${DATABASE_FLUSH:-1}" --character-set-server=utf8mb4 --default-time-zone=+00:00
                --log-error="$HOME_DIR/db/mariadb.log") ;;
        php-fpm)
            if [ "$(id -u)" = 0 ] && [ ${#RUN_AS[@]} = 0 ]; then as_root=(-R); fi
            COMMAND=("/usr/sbin/php-fpm$PHP_SERIES" "${as_root[@]}" --nodaemonize --fpm-config "$HOME_DIR/conf/php-fpm.conf") ;;
        nginx) COMMAND=(/usr/sbin/nginx -c "$HOME_DIR/conf/nginx.conf" -e "$HOME_DIR/log/nginx.log" -g 'daemon off;') ;;
        queue) COMMAND=(php "${PATIENCE[@]}" "$ROOT/artisan" queue:work --sleep=2 --tries=5 --backoff=60) ;;
        scheduler) COMMAND=(php "${PATIENCE[@]}" "$ROOT/artisan" schedule:work) ;;
        mailbox) COMMAND=(php "$ROOT/ops/mailbox.php" "$MAIL_PORT" "$HOME_DIR/mail") ;;
    esac
}

# begin NAME: a server in the background, watched by nobody; for tests, pictures and timings.
begin() {
    local as=("${RUN_AS[@]}")
    [ "$1" != mariadb ] || as=("${DB_AS[@]}")
    command_of "$1"
    (cd "$(place_of "$1")" && exec "${as[@]}" "${COMMAND[@]}" > "$HOME_DIR/root/log/$1.out" 2>&1 7>&- 8>&- 9>&- < /dev/null) &
    # Nobody at this shell is told when it ends.
    disown
}

# until_up NAME: waits until a server answers.
until_up() {
    local tries=0
    until { [ "$1" = mariadb ] && port_open "$DATABASE_PORT" && is_up mariadb; } || { [ "$1" = nginx ] && port_open "$WEB_PORT"; } || { [ "$1" = php-fpm ] && [ -S "$HOME_DIR/run/php-fpm.sock" ] && is_up php-fpm; }; do
        tries=$((tries + 1))
        [ $tries -lt 200 ] || case "$1" in
            mariadb) tail -n 12 "$HOME_DIR/db/mariadb.log" >&2 2>/dev/null; fail "MariaDB did not start; its log is $HOME_DIR/db/mariadb.log. Usually the disk is full, or another start uses the same data." ;;
            *) tail -n 5 "$HOME_DIR/root/log/$1.out" "$HOME_DIR/root/$1.out" "$HOME_DIR/log/$1.log" >&2 2>/dev/null; fail "$1 did not start; its logs are under $HOME_DIR/log." ;;
        esac
        sleep 0.1
    done
}

start_database() {
    ! is_up mariadb || return 0
    need_free_port "$DATABASE_PORT" RHEACID_DB_PORT
    lay_out_database
    begin mariadb
    until_up mariadb
}

as_owner() { MYSQL_PWD=$(owner_password) "${OWNER_AS[@]}" "$1" --no-defaults --host=127.0.0.1 --port="$DATABASE_PORT" --user=rheacid_owner "${@:2}"; }

# Migrations are not undone by the database when they break off: before them the records are laid aside, and what was broken
# off is begun again from there.
migrate() {
    local aside=$HOME_DIR/root/before-migration.sql
    if [ -e "$aside" ]; then
        say "The last migration was interrupted. The records are restored and it starts again."
        as_owner mariadb --execute="DROP DATABASE rheacid; CREATE DATABASE rheacid CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;"
        as_owner mariadb --sandbox rheacid < "$aside"
    fi
    local wanted done
    wanted=$(find "$ROOT/database/migrations" -name '*.php' -exec basename {} .php \; | sort)
    done=$(as_owner mariadb --skip-column-names --batch rheacid --execute="SELECT migration FROM migrations ORDER BY migration" 2>/dev/null || true)
    if [ "$wanted" != "$done" ]; then
        as_owner mariadb-dump --single-transaction --skip-lock-tables --hex-blob rheacid > "$aside.new"
        mv "$aside.new" "$aside"
        { owner_artisan migrate --database=owner --force --no-interaction && owner_artisan rheacid:grant; } > "$HOME_DIR/root/log/migrate.log" 2>&1 \
            || {
                # The form of the records was changed once, when nothing but the demo stood in them.
                ! grep -q "already exists" "$HOME_DIR/root/log/migrate.log" || { rm -f "$aside"; fail "The records in $HOME_DIR have an old format that only demos had. Move that directory away and start again to load the demo."; }
                tail -n 20 "$HOME_DIR/root/log/migrate.log" >&2
                fail "The database could not be updated; the log is $HOME_DIR/root/log/migrate.log. The previous records are in $aside; the next start restores them."
            }
        rm -f "$aside"
    fi
    # Rights and the board follow from the code and the records: with the same code they stand as they were left.
    local code stamp=$HOME_DIR/root/code
    code=$(cd "$ROOT" && find app core database -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum)
    [ "$(cat "$stamp" 2>/dev/null)" != "$code" ] || return 0
    { owner_artisan rheacid:grant && owner_artisan rheacid:board; } > "$HOME_DIR/root/log/migrate.log" 2>&1 || { tail -n 20 "$HOME_DIR/root/log/migrate.log" >&2; fail "The rights or the board could not be written; the log is $HOME_DIR/root/log/migrate.log."; }
    echo "$code" > "$stamp"
}

load_demo() {
    [ -n "$(env_value DEMO_PASSPHRASE)" ] || return 0
    artisan rheacid:demo > "$HOME_DIR/root/log/demo.log" 2>&1 || { tail -n 10 "$HOME_DIR/root/log/demo.log" >&2; fail "The demo scenario could not be loaded; the log is $HOME_DIR/root/log/demo.log."; }
}

write_caches() {
    artisan optimize > "$HOME_DIR/root/log/optimize.log" 2>&1 || { tail -n 10 "$HOME_DIR/root/log/optimize.log" >&2; fail "The application's caches could not be written; the log is $HOME_DIR/root/log/optimize.log."; }
}

start_web() {
    need_free_port "$WEB_PORT" RHEACID_PORT
    begin php-fpm
    until_up php-fpm
    begin nginx
    until_up nginx
}

stop_web() { end queue TERM; end mailbox TERM; end scheduler TERM; end nginx QUIT; end php-fpm QUIT; }
stop_all() { stop_web; end mariadb TERM 60; }

# standing_heads TIME: heads that were proven by then, as "LINE HEAD", the last at the end. Where the records came back from a
# backup, those after its last line stand no more.
standing_heads() {
    [ -s "$HEADS_FILE" ] || return 0
    awk -v at="$1" '$1 <= at {
        if ($4 == "restored") while (n > 0 && line[n] > $2) n--
        if ($2 > 0) {n++; line[n] = $2; head[n] = $3}
    } END {for (i = 1; i <= n; i++) print line[i], head[i]}' "$HEADS_FILE"
}

# note_head LINE HEAD HOW: added to, never changed.
note_head() { (umask 077; echo "$(date -u +%Y-%m-%dT%H:%M:%SZ) $*" >> "$HEADS_FILE"); }

# note_keeping WHAT HOW WORDS: what the application says of backups and verifications.
note_keeping() {
    local file=$HOME_DIR/told/keeping
    [ -d "$HOME_DIR/told" ] || return 0
    { grep -v "^$1 $2 " "$file" 2>/dev/null || true; printf '%s %s %s %s\n' "$1" "$2" "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$3"; } > "$file.new"
    chmod 644 "$file.new"
    mv "$file.new" "$file"
}

# --- watched over by supervisord -----------------------------------------------------------------------------------------

# One at a time: start and stop exclude one another and themselves.
with_house_lock() {
    need_var
    private_file "$ROOT/var/$INSTANCE.lock"
    exec 7>"$ROOT/var/$INSTANCE.lock"
    flock -n 7 || { say "Waiting for another start or stop of this installation …"; flock 7; }
    "$@"
    exec 7>&-
}

supervisor() { supervisorctl -c "$HOME_DIR/root/supervisord.conf" "$@"; }
is_watched() { [ -S "$HOME_DIR/root/supervisor.sock" ] && supervisor pid > /dev/null 2>&1; }

# What is watched and how; each server begins by ops/serve.
write_supervisor() {
    local conf=$HOME_DIR/root/supervisord.conf name user
    {
        cat <<TEXT
[unix_http_server]
file=$HOME_DIR/root/supervisor.sock
chmod=0700
[supervisord]
logfile=$HOME_DIR/root/supervisord.log
logfile_maxbytes=500KB
logfile_backups=1
pidfile=$HOME_DIR/root/supervisord.pid
directory=$HOME_DIR/root
identifier=rheacid-$INSTANCE
$(! is_root || echo user=root)
environment=RHEACID_HOME="$HOME_DIR",RHEACID_INSTANCE="$INSTANCE",RHEACID_PORTS="$WEB_PORT $DATABASE_PORT $MAIL_PORT",DATABASE_FLUSH="${DATABASE_FLUSH:-1}"
[rpcinterface:supervisor]
supervisor.rpcinterface_factory=supervisor.rpcinterface:make_main_rpcinterface
[supervisorctl]
serverurl=unix://$HOME_DIR/root/supervisor.sock
TEXT
        for name in $(servers); do
            user=$(user_of "$name")
            cat <<TEXT
[program:$name]
command=$ROOT/ops/serve $name
autostart=false
autorestart=true
startsecs=0
stopsignal=$(case "$name" in nginx|php-fpm) echo QUIT ;; *) echo TERM ;; esac)
stopwaitsecs=$([ "$name" = mariadb ] && echo 60 || echo 10)
redirect_stderr=true
stdout_logfile=$HOME_DIR/root/$name.out
stdout_logfile_maxbytes=200KB
stdout_logfile_backups=1
${user:+user=$user}
TEXT
        done
        # No server: it listens to nobody, and reads what only the owner may.
        cat <<TEXT
[program:keep]
command=$ROOT/ops/keep
autostart=true
autorestart=true
startsecs=0
stopasgroup=true
killasgroup=true
stdout_logfile=$HOME_DIR/root/keep.out
stdout_logfile_maxbytes=200KB
stdout_logfile_backups=1
redirect_stderr=true
TEXT
    } > "$conf"
}

watch_over() {
    is_watched && return 0
    rm -f "$HOME_DIR/root/supervisor.sock"
    write_supervisor
    (cd "$HOME_DIR/root" && supervisord -c "$HOME_DIR/root/supervisord.conf" 7>&- 8>&- 9>&- < /dev/null > /dev/null) || fail "The supervisor did not start; its log is $HOME_DIR/root/supervisord.log."
    local tries=0
    until is_watched; do tries=$((tries + 1)); [ $tries -lt 100 ] || fail "The supervisor does not answer; its log is $HOME_DIR/root/supervisord.log."; sleep 0.1; done
}

# A home knows where it stands. One that was copied says whose it is before it becomes another chain of the same plant.
know_place() {
    local here there file=$HOME_DIR/root/place
    here="${1:-$HOME_DIR} on $(cat /etc/machine-id 2>/dev/null || hostname)"
    there=$(cat "$file" 2>/dev/null || true)
    if [ -n "$there" ] && [ "$there" != "$here" ]; then
        [ ! -e "$HOME_DIR/root/up" ] || fail "This installation was copied from $there while it ran, so the copy is incomplete. Stop the original with bin/stop and copy it again, or use bin/backup and bin/restore."
        [ "${AS_A_COPY:-0}" = 1 ] || fail "This installation was copied from $there. If the original is gone, continue here with bin/start --as-a-copy. If it still runs, one site would get two different ledgers."
        say "It continues as a copy of $there."
    fi
    mkdir -p "$HOME_DIR/root"
    echo "$here" > "$file"
}

# Everything of this installation down: by the supervisor, and what a dead one has left by hand.
take_down() {
    local left tries=0
    if is_watched; then
        supervisor stop queue scheduler mailbox nginx php-fpm > /dev/null 2>&1 || true
        supervisor shutdown > /dev/null 2>&1 || true
        while is_watched && [ $tries -lt 700 ]; do tries=$((tries + 1)); sleep 0.1; done
    fi
    end keep KILL
    stop_all
    # Whoever runs the servers otherwise, like systemd, watches over them too.
    rm -f "$HOME_DIR/told/started"
    left=$(living)
    [ -z "$left" ] || fail "Still running: $(echo "$left" | tr '\n' ' ')"
    rm -f "$HOME_DIR/root/up"
}

page_says() { (exec 6<>"/dev/tcp/127.0.0.1/$WEB_PORT" && printf 'GET /up HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&6 && timeout 45 cat <&6 | tr -d '\r') 2> /dev/null || true; }
# Whether the application itself answers, be it that nothing can be recorded.
page_shows() { page_says | grep -q '^up\|^cannot record'; }
page_answers() { case "$(page_says | head -n 1)" in *' 200'*) return 0 ;; *) return 1 ;; esac; }

# Accounts of the database that neither MariaDB nor bin/start makes; asked as its root, so only where this is root.
strange_accounts() {
    is_root || return 0
    local found
    found=$(mariadb --no-defaults --socket="$HOME_DIR/db/mariadb.sock" --user=root --skip-column-names --batch --connect-timeout=10 --execute="
        SELECT CONCAT(User, '@', Host) FROM mysql.global_priv WHERE CONCAT(User, '@', Host) NOT IN ('root@localhost', 'mariadb.sys@localhost', 'rheacid_owner@127.0.0.1', 'rheacid_app@127.0.0.1')
        UNION ALL SELECT CONCAT(User, '@', Host, ' with a right on everything') FROM mysql.user WHERE User LIKE 'rheacid%' AND 'Y' IN (Select_priv, Insert_priv, Update_priv, Delete_priv, Create_priv, Drop_priv, File_priv, Super_priv, Grant_priv, Process_priv)
        UNION ALL SELECT CONCAT(User, '@', Host, ' with a right on ', Db) FROM mysql.db WHERE NOT (User = 'rheacid_owner' AND Host = '127.0.0.1' AND Db IN ('rheacid', 'rheacid\\\\_scratch', 'rheacid_scratch'))" 2> /dev/null | head -n 1) || return 0
    [ -z "$found" ] || echo "the database has an account that bin/start did not create: $found"
}

# What a restoration that was killed at its very end has not noted yet.
settle_heads() {
    local noted=$HOME_DIR/root/restored-head
    [ ! -s "$noted" ] || { cat "$noted" >> "$HEADS_FILE"; rm -f "$noted"; }
}

# Whether anything may be recorded: asked under the lock that every recording takes first, so that a backup begun after it is
# closed holds all that was acknowledged.
close_gate() { as_owner mariadb rheacid --execute="SET innodb_lock_wait_timeout = 60; UPDATE recording_gate SET closed_at = COALESCE(closed_at, UTC_TIMESTAMP(3))"; }
open_gate() { as_owner mariadb rheacid --execute="UPDATE recording_gate SET closed_at = NULL"; }
