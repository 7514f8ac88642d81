# The house: everything that must stand before the application can run. Sourced by the scripts in bin/.
# Each step can be interrupted and done again; a step that is already done costs nothing.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
# curl and zip are asked for by the libraries of the tests, which Composer installs with the rest.
RUN_PACKAGES=(php8.2-cli php8.2-fpm php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-curl php8.2-zip nginx mariadb-server)
TEST_PACKAGES=(chromium chromium-driver python3-scipy python3-uncertainties python3-iapws units)
SERVICE_USER=rheacid

say() { printf '%s\n' "$*" >&2; }
fail() { say "$@"; exit 1; }
is_root() { [ "$(id -u)" = 0 ]; }

# instance NAME WEB_PORT DATABASE_PORT: which of the houses on this machine is meant (demo, test, pictures).
instance() {
    INSTANCE=$1 WEB_PORT=$2 DATABASE_PORT=$3
    MAIL_PORT=${RHEACID_MAIL_PORT:-$((DATABASE_PORT + 100))}
    HOME_DIR=$ROOT/var/$INSTANCE
    ENV_FILE=$HOME_DIR/.env
    export RHEACID_HOME=$HOME_DIR
}

need_var() {
    { mkdir -p "$ROOT/var" && [ -w "$ROOT/var" ]; } 2>/dev/null || fail "$ROOT/var cannot be written by $(id -un). Run this as the owner of the project, or as root."
}

# One set-up at a time: two scripts started together wait for one another instead of building the same files.
with_setup_lock() {
    need_var
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
    if [ ! -e $policy ]; then ours=1; printf '#!/bin/sh\nexit 101\n' > $policy; chmod +x $policy; fi
    local log=$ROOT/var/packages.log status=0
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } > "$log" 2>&1 || status=$?
    [ $ours = 0 ] || rm -f $policy
    [ $status = 0 ] || { tail -n 15 "$log" >&2; fail "The Debian packages could not be installed; the whole log is $log. Check the connection to the package server, then start again."; }
}

# stamped NAME COMMAND NEEDED FILE…: does a step unless its files are as they were when it last succeeded. The stamp is
# written only after success, so an interrupted step is done again.
stamped() {
    local name=$1 command=$2 needed=$3 fingerprint; shift 3
    fingerprint=$(sha256sum "$@" | sha256sum)
    if [ -e "$needed" ] && [ "$(cat "$ROOT/var/$name.stamp" 2>/dev/null)" = "$fingerprint" ]; then return 0; fi
    say "Set-up: $name"
    "$command" > "$ROOT/var/$name.log" 2>&1 || { tail -n 15 "$ROOT/var/$name.log" >&2; fail "Set-up step '$name' failed; the whole log is var/$name.log. Mend what it says (often the connection), then start again."; }
    printf '%s\n' "$fingerprint" > "$ROOT/var/$name.stamp"
}

composer_install() { (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress --prefer-dist && chmod -R a+rX vendor); }
npm_install() { (cd "$ROOT" && npm ci --no-audit --no-fund); }
build_assets() { (cd "$ROOT" && npm run build); }

install_libraries() {
    local sources
    stamped composer composer_install "$ROOT/vendor/autoload.php" "$ROOT/composer.json"
    stamped npm npm_install "$ROOT/node_modules/.package-lock.json" "$ROOT/package.json" "$ROOT/package-lock.json"
    mapfile -t sources < <(find "$ROOT/resources/css" "$ROOT/resources/js" "$ROOT/vite.config.js" "$ROOT/package-lock.json" -type f | sort)
    stamped assets build_assets "$ROOT/public/build/manifest.json" "${sources[@]}"
}

set_up_with_tests() {
    install_packages "${RUN_PACKAGES[@]}" "${TEST_PACKAGES[@]}"
    install_libraries
}

# As root the servers run as one unprivileged user; where that user cannot reach the project (a private directory),
# they run as root, and that is said.
choose_user() {
    RUN_AS=()
    is_root || return 0
    id $SERVICE_USER >/dev/null 2>&1 || useradd --system --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin $SERVICE_USER
    if setpriv --reuid=$SERVICE_USER --regid=$SERVICE_USER --init-groups test -r "$ROOT/composer.json" 2>/dev/null; then
        RUN_AS=(setpriv --reuid=$SERVICE_USER --regid=$SERVICE_USER --init-groups)
    else
        say "Note: the user $SERVICE_USER cannot read $ROOT, so the servers run as root. Use a directory that others can enter."
    fi
}

as_service() { "${RUN_AS[@]}" "$@"; }
running() { [ -s "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null; }
port_open() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

need_free_port() {
    ! port_open "$1" || fail "Port $1 on 127.0.0.1 is taken by another program. Stop it, or choose another port: $2=… bin/$(basename "$0")"
}

# make_home [NAME=VALUE …]: the directories and settings of this instance.
make_home() {
    mkdir -p "$HOME_DIR"/{log,run,storage/framework/{cache/data,sessions,views},storage/logs,cache,tmp}
    # Settings, sessions and the cached configuration hold keys and passwords: nobody else of the machine looks in.
    chmod 700 "$HOME_DIR"
    if [ ! -s "$ENV_FILE" ]; then
        umask 077
        cat > "$ENV_FILE.new" <<TEXT
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
DB_APP_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr '+/' 'xy')
DB_OWNER_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr '+/' 'xy')
DEMO_PIN=$(shuf -i 1000-9999 -n 1)
DEMO_PASSPHRASE=$(shuf -n 1 -e apple barley cider dill fennel)-$(shuf -n 1 -e amber copper linen slate walnut)-$(shuf -i 100-999 -n 1)
TEXT
        umask 022
        mv "$ENV_FILE.new" "$ENV_FILE"
    fi
    # Ports and addresses may change from one start to the next; secrets stay.
    sed -i '/^\(APP_URL\|APP_ENV\|BCRYPT_ROUNDS\|CLOCK_FILE\|DB_PORT\|APP_[A-Z]*_CACHE\)=/d' "$ENV_FILE"
    # A mail server that was named keeps its port.
    [ -n "$(env_value MAIL_HOST)" ] || sed -i '/^MAIL_PORT=/d' "$ENV_FILE"
    {
        echo "APP_URL=http://127.0.0.1:$WEB_PORT"
        echo "DB_PORT=$DATABASE_PORT"
        [ -n "$(env_value MAIL_HOST)" ] || echo "MAIL_PORT=$MAIL_PORT"
        printf '%s\n' "$@"
        local cache
        for cache in SERVICES PACKAGES CONFIG ROUTES EVENTS; do echo "APP_${cache}_CACHE=$HOME_DIR/cache/${cache,,}.php"; done
    } >> "$ENV_FILE"
    [ ${#RUN_AS[@]} = 0 ] || chown -R $SERVICE_USER:$SERVICE_USER "$HOME_DIR"
}

env_value() { sed -n "s/^$1=//p" "$ENV_FILE"; }
artisan() { as_service php "$ROOT/artisan" "$@"; }

start_database() {
    local data=$HOME_DIR/mysql pid=$HOME_DIR/run/mariadb.pid
    ! running "$pid" || return 0
    need_free_port "$DATABASE_PORT" RHEACID_DB_PORT
    if [ ! -d "$data" ]; then
        rm -rf "$data.new"
        as_service mariadb-install-db --no-defaults --datadir="$data.new" --skip-test-db --auth-root-authentication-method=socket > "$HOME_DIR/log/mariadb-install.log" 2>&1 \
            || { tail -n 10 "$HOME_DIR/log/mariadb-install.log" >&2; fail "MariaDB could not lay out its data in $data."; }
        mv "$data.new" "$data"
    fi
    # Accounts are set at each start, so that they always match the generated passwords. The application's account gets
    # its rights table by table after the migrations; it never holds one on the whole schema.
    umask 077
    cat > "$HOME_DIR/run/accounts.sql" <<TEXT
CREATE DATABASE IF NOT EXISTS rheacid CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'rheacid_owner'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'rheacid_app'@'127.0.0.1';
ALTER USER 'rheacid_owner'@'127.0.0.1' IDENTIFIED BY '$(env_value DB_OWNER_PASSWORD)';
ALTER USER 'rheacid_app'@'127.0.0.1' IDENTIFIED BY '$(env_value DB_APP_PASSWORD)';
GRANT ALL PRIVILEGES ON rheacid.* TO 'rheacid_owner'@'127.0.0.1' WITH GRANT OPTION;
TEXT
    umask 022
    [ ${#RUN_AS[@]} = 0 ] || chown $SERVICE_USER: "$HOME_DIR/run/accounts.sql"
    local root_flag=(); ! is_root || [ ${#RUN_AS[@]} -gt 0 ] || root_flag=(--user=root)
    as_service mariadbd --no-defaults "${root_flag[@]}" --datadir="$data" --socket="$HOME_DIR/run/mariadb.sock" --pid-file="$pid" \
        --bind-address=127.0.0.1 --port="$DATABASE_PORT" --skip-name-resolve --init-file="$HOME_DIR/run/accounts.sql" \
        --innodb-buffer-pool-size=128M --innodb-flush-log-at-trx-commit="${DATABASE_FLUSH:-1}" --character-set-server=utf8mb4 --default-time-zone=+00:00 \
        --log-error="$HOME_DIR/log/mariadb.log" > /dev/null 2>&1 9>&- 8>&- &
    local tries=0
    until port_open "$DATABASE_PORT" && running "$pid"; do
        tries=$((tries + 1))
        [ $tries -lt 150 ] || { tail -n 12 "$HOME_DIR/log/mariadb.log" >&2; fail "MariaDB did not start; its log is $HOME_DIR/log/mariadb.log. A full disk and a second start on the same data are the usual reasons."; }
        sleep 0.2
    done
}

migrate() {
    { artisan migrate --database=owner --force --no-interaction && artisan rheacid:grant && artisan rheacid:board; } > "$HOME_DIR/log/migrate.log" 2>&1 \
        || {
            # The form of the records was changed once, when nothing but the demo stood in them.
            ! grep -q "already exists" "$HOME_DIR/log/migrate.log" || fail "The records in $HOME_DIR are of the form before this one, which only a demo ever had. Move that directory away and start again: the demo is loaded anew."
            tail -n 20 "$HOME_DIR/log/migrate.log" >&2
            fail "The database could not be brought up to date; the log is $HOME_DIR/log/migrate.log."
        }
}

load_demo() {
    artisan rheacid:demo > "$HOME_DIR/log/demo.log" 2>&1 || { tail -n 10 "$HOME_DIR/log/demo.log" >&2; fail "The demo scenario could not be loaded; the log is $HOME_DIR/log/demo.log."; }
}

write_caches() {
    artisan optimize > "$HOME_DIR/log/optimize.log" 2>&1 || { tail -n 10 "$HOME_DIR/log/optimize.log" >&2; fail "The application's caches could not be written; the log is $HOME_DIR/log/optimize.log."; }
}

start_web() {
    need_free_port "$WEB_PORT" RHEACID_PORT
    local name
    for name in php-fpm nginx; do
        sed -e "s|@ROOT@|$ROOT|g; s|@HOME@|$HOME_DIR|g; s|@PORT@|$WEB_PORT|g" "$ROOT/ops/$name.conf" > "$HOME_DIR/run/$name.conf"
    done
    local as_root=(); ! is_root || [ ${#RUN_AS[@]} -gt 0 ] || as_root=(-R)
    as_service php-fpm8.2 "${as_root[@]}" --fpm-config "$HOME_DIR/run/php-fpm.conf" --daemonize 9>&- 2> "$HOME_DIR/log/php-fpm-start.log" \
        || { tail -n 5 "$HOME_DIR/log/php-fpm-start.log" >&2; fail "php-fpm did not start; its log is $HOME_DIR/log/php-fpm-start.log."; }
    as_service nginx -c "$HOME_DIR/run/nginx.conf" -e "$HOME_DIR/log/nginx.log" 9>&- 2> "$HOME_DIR/log/nginx-start.log" \
        || { tail -n 5 "$HOME_DIR/log/nginx-start.log" >&2; fail "nginx did not start; its log is $HOME_DIR/log/nginx-start.log."; }
}

stop_one() {
    local pid=$HOME_DIR/run/$1.pid signal=$2 tries=0
    running "$pid" || { rm -f "$pid"; return 0; }
    local number; number=$(cat "$pid")
    kill "-$signal" "$number" 2>/dev/null || true
    while kill -0 "$number" 2>/dev/null && [ $tries -lt 100 ]; do sleep 0.1; tries=$((tries + 1)); done
    rm -f "$pid"
}

# What the site does of its own accord: deadlines that pass unread.
start_scheduler() {
    # By exec, so that the number kept is that of the scheduler itself.
    (exec "${RUN_AS[@]}" php "$ROOT/artisan" schedule:work > "$HOME_DIR/log/scheduler.log" 2>&1 9>&- 8>&- < /dev/null) &
    echo $! > "$HOME_DIR/run/scheduler.pid"
}

# Where letters go while the settings name no mail server: a directory of this instance.
start_mailbox() {
    [ -z "$(env_value MAIL_HOST)" ] || return 0
    mkdir -p "$HOME_DIR/mail"
    [ ${#RUN_AS[@]} = 0 ] || chown $SERVICE_USER: "$HOME_DIR/mail"
    need_free_port "$MAIL_PORT" RHEACID_MAIL_PORT
    (exec "${RUN_AS[@]}" php "$ROOT/ops/mailbox.php" "$MAIL_PORT" "$HOME_DIR/mail" > "$HOME_DIR/log/mailbox.log" 2>&1 9>&- 8>&- < /dev/null) &
    echo $! > "$HOME_DIR/run/mailbox.pid"
}

# Sends the letters that wait.
start_queue() {
    (exec "${RUN_AS[@]}" php "$ROOT/artisan" queue:work --sleep=2 --tries=5 --backoff=60 > "$HOME_DIR/log/queue.log" 2>&1 9>&- 8>&- < /dev/null) &
    echo $! > "$HOME_DIR/run/queue.pid"
}

stop_web() { stop_one queue TERM; stop_one mailbox TERM; stop_one scheduler TERM; stop_one nginx QUIT; stop_one php-fpm QUIT; }
stop_all() { stop_web; stop_one mariadb TERM; }
