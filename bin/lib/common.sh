# What bin/start, bin/test and bin/bench share. Sourced, never run. Expects ROOT.

say() { printf '%s\n' "$*" >&2; }
step() { CURRENT_STEP=$*; printf '\n-- %s\n' "$*" >&2; }
fail() { printf '\nStopped while: %s\n%s\n' "${CURRENT_STEP:-starting}" "$*" >&2; exit 1; }

VAR="$ROOT/var"
mkdir -p "$VAR"
export COMPOSER_ALLOW_SUPERUSER=1 PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1

# Runs a command as root: directly, or through sudo for a user who may use it.
as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null && sudo -n true 2>/dev/null; then sudo -n "$@"
  elif command -v sudo >/dev/null && [ -t 0 ]; then sudo "$@"
  else return 77
  fi
}

postgres_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

# Names the Debian packages that are missing. $1 is "with-browser" for the tests, $2 "with-tls" for https.
missing_packages() {
  command -v php >/dev/null || fail "PHP 8.2 is not installed. Install it (apt-get install php8.2-cli) and run this again."
  command -v composer >/dev/null || fail "Composer is not installed. Install it and run this again."
  command -v npm >/dev/null || fail "Node 20 and npm are not installed. Install them and run this again."
  local version modules
  version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
  modules=" $(php -m | tr '[:upper:]\n' '[:lower:] ') "
  for module in pdo_pgsql:pgsql curl:curl zip:zip mbstring:mbstring dom:xml intl:intl; do
    case "$modules" in *" ${module%%:*} "*) ;; *) printf 'php%s-%s\n' "$version" "${module##*:}" ;; esac
  done
  [ -n "$(postgres_bin)" ] && [ -x "$(postgres_bin)/initdb" ] || printf 'postgresql\n'
  command -v unzip >/dev/null || printf 'unzip\n'
  command -v git >/dev/null || printf 'git\n'
  if [ "${2:-}" = with-tls ]; then [ -x /usr/sbin/nginx ] || printf 'nginx-light\n'; command -v openssl >/dev/null || printf 'openssl\n'; fi
  if [ "${1:-}" = with-browser ]; then [ -x /usr/bin/chromium ] || printf 'chromium\n'; fi
}

install_system() {
  local packages
  packages=$(missing_packages "${1:-}" "${2:-}" | tr '\n' ' ') || exit 1
  [ -n "${packages// /}" ] || return 0
  step "installing Debian packages: $packages"
  as_root true || fail "These packages are missing: $packages
You are not root and may not use sudo without a password here. Ask someone who may to run:
    apt-get install --no-install-recommends $packages"
  # Debian's package would start a cluster of its own; ours lives with the project.
  as_root sh -c 'mkdir -p /etc/postgresql-common; grep -qs create_main_cluster /etc/postgresql-common/createcluster.conf || echo "create_main_cluster = false" >> /etc/postgresql-common/createcluster.conf'
  as_root apt-get update -qq >&2 || fail "apt-get update failed; is Debian's package archive reachable?"
  # shellcheck disable=SC2086
  as_root env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq --no-install-recommends $packages > "$VAR/apt.log" 2>&1 \
    || { tail -n 15 "$VAR/apt.log" >&2; fail "apt-get could not install them; the whole output is in var/apt.log."; }
}

# Runs the rest only when its inputs changed since it last succeeded. $1 name, $2 inputs, then the command.
when_changed() {
  local name=$1 inputs=$2 stamp now; shift 2
  stamp="$VAR/stamps/$name"; mkdir -p "$VAR/stamps"
  # shellcheck disable=SC2086
  now=$(cd "$ROOT" && find $inputs -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$now" ] && return 0
  step "$name"
  "$@" || return 1
  printf '%s' "$now" > "$stamp"
}

install_libraries() {
  [ -f "$ROOT/vendor/autoload.php" ] || rm -f "$VAR/stamps/installing PHP libraries"
  [ -d "$ROOT/node_modules/vite" ] || rm -f "$VAR/stamps/installing JavaScript libraries"
  when_changed "installing PHP libraries" composer.json php_libraries || exit 1
  when_changed "installing JavaScript libraries" "package.json package-lock.json" js_libraries || exit 1
}
php_libraries() {
  (cd "$ROOT" && composer update --no-interaction --no-progress > "$VAR/composer.log" 2>&1) \
    || { tail -n 15 "$VAR/composer.log" >&2; fail "Composer could not install the libraries; the whole output is in var/composer.log."; }
}
js_libraries() {
  (cd "$ROOT" && npm install --no-save --no-fund --no-audit > "$VAR/npm.log" 2>&1) \
    || { tail -n 15 "$VAR/npm.log" >&2; fail "npm could not install the libraries; the whole output is in var/npm.log."; }
}

build_pages() {
  [ -f "$ROOT/public/build/manifest.json" ] || rm -f "$VAR/stamps/building the pages"
  when_changed "building the pages" "resources package.json vite.config.ts tsconfig.json" pages || exit 1
}
pages() {
  (cd "$ROOT" && npx vite build > "$VAR/vite.log" 2>&1) || { tail -n 25 "$VAR/vite.log" >&2; fail "The pages could not be built; the whole output is in var/vite.log."; }
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'; }
random_text() { php -r 'echo bin2hex(random_bytes(24));'; }

# Starts a PostgreSQL cluster of the project's own. $1 names it. Sets DB_* for the application; stop_postgres ends it.
start_postgres() {
  step "starting PostgreSQL"
  local bin name=$1 home
  bin=$(postgres_bin)
  home="$VAR/postgres-$name"
  PG_RUN=()
  if [ "$(id -u)" = 0 ]; then
    PG_RUN=(runuser -u postgres --)
    mkdir -p "$home"
    if ! runuser -u postgres -- test -x "$home" 2>/dev/null; then
      rmdir "$home" 2>/dev/null || true
      home="/var/lib/gorvan/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)-$name"
      say "The postgres user cannot reach $ROOT, so the database is kept in $home."
      mkdir -p "$home"
    fi
    chown postgres: "$home"
  fi
  PG_DATA="$home/data"; PG_BIN=$bin; PG_LOG="$home/server.log"
  mkdir -p "$home"
  if ! "${PG_RUN[@]}" test -f "$PG_DATA/PG_VERSION"; then
    (umask 077; random_text > "$VAR/postgres-$name.secret")
    "${PG_RUN[@]}" sh -c 'umask 077; cat > "$1/first"' sh "$home" < "$VAR/postgres-$name.secret"
    "${PG_RUN[@]}" "$bin/initdb" -D "$PG_DATA" -U gorvan_owner --auth=scram-sha-256 --pwfile="$home/first" -E UTF8 --locale=C.UTF-8 > "$VAR/initdb.log" 2>&1 \
      || { tail -n 5 "$VAR/initdb.log" >&2; fail "The database cluster could not be made in $PG_DATA."; }
    "${PG_RUN[@]}" rm -f "$home/first"
  fi
  DB_PORT=$(free_port)
  "${PG_RUN[@]}" "$bin/pg_ctl" -D "$PG_DATA" -l "$PG_LOG" -w -s \
    -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories='' ${2:-}" start >/dev/null 2>&1 \
    || fail "PostgreSQL did not start; see $PG_LOG. Is another bin/$name running?"
  local secret; secret=$(cat "$VAR/postgres-$name.secret")
  export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=gorvan DB_USERNAME=gorvan DB_PASSWORD="$secret"
  # The application's role is no superuser, so that the row policies bind it.
  PGPASSWORD=$secret "$bin/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U gorvan_owner -d postgres -v ON_ERROR_STOP=1 -v secret="$secret" > "$VAR/psql.log" 2>&1 <<'SQL' || { cat "$VAR/psql.log" >&2; fail "The database could not be prepared."; }
select not exists (select from pg_roles where rolname = 'gorvan') as missing \gset
\if :missing
create role gorvan login nosuperuser nobypassrls password :'secret';
create database gorvan owner gorvan;
\endif
SQL
}
# The cluster's owner, for what the application's role may not do.
postgres_owner() { PGPASSWORD=$DB_PASSWORD PGOPTIONS=--client-min-messages=warning "$PG_BIN/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U gorvan_owner -v ON_ERROR_STOP=1 "$@"; }
stop_postgres() {
  [ -n "${PG_DATA:-}" ] || return 0
  "${PG_RUN[@]}" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -s stop >/dev/null 2>&1 || true
}

# The framework's settings, all by environment. $1 is the port of the pages.
settings() {
  [ -s "$VAR/app.key" ] || (umask 077; php -r 'echo "base64:".base64_encode(random_bytes(32));' > "$VAR/app.key")
  export APP_NAME=Gorvan APP_ENV="${APP_ENV:-production}" APP_DEBUG=false APP_URL="http://127.0.0.1:$1"
  APP_KEY=$(cat "$VAR/app.key"); export APP_KEY
  export SESSION_DRIVER=file SESSION_LIFETIME=720 CACHE_STORE=file QUEUE_CONNECTION=database DB_QUEUE_RETRY_AFTER=330 MAIL_MAILER="${MAIL_MAILER:-mailbox}" LOG_CHANNEL=single LOG_LEVEL=warning
  export SANCTUM_STATEFUL_DOMAINS="127.0.0.1:$1,localhost:$1"
}

# Serves the pages on a port of 127.0.0.1 and waits until they answer. Sets SERVER_GROUP; stop_server ends it.
start_server() {
  local port=$1
  # A process group of its own, so that the workers end with it.
  PHP_CLI_SERVER_WORKERS=4 setsid php -d upload_max_filesize=2M -d post_max_size=3M -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=256M \
    -S "127.0.0.1:$port" -t "$ROOT/public" "$ROOT/bin/lib/router.php" > "$VAR/server.log" 2>&1 < /dev/null &
  SERVER_GROUP=$!
  for _ in $(seq 1 100); do
    php -r 'exit(@file_get_contents("http://127.0.0.1:'"$port"'/up") === false ? 1 : 0);' && return 0
    kill -0 "$SERVER_GROUP" 2>/dev/null || break
    sleep 0.1
  done
  tail -n 5 "$VAR/server.log" >&2
  fail "The pages do not answer on port $port. Is it in use? Try another with --port."
}
# An authority of this machine's own, and with it a certificate for a name or address. $1 is the name.
certificate() {
  local name=$1 dir="$VAR/tls" of
  case $name in *[!0-9.]*) of="DNS:$name" ;; *) of="IP:$name" ;; esac
  mkdir -p "$dir"
  if [ ! -f "$dir/authority.crt" ]; then
    (umask 077; openssl req -x509 -newkey rsa:2048 -nodes -days 3650 -subj "/CN=Gorvan on $(hostname)" -addext basicConstraints=critical,CA:TRUE -addext keyUsage=critical,keyCertSign -keyout "$dir/authority.key" -out "$dir/authority.crt") 2> "$VAR/tls.log" || return 1
  fi
  if [ ! -f "$dir/$name.crt" ] || ! openssl x509 -checkend 604800 -noout -in "$dir/$name.crt" > /dev/null; then
    (umask 077; openssl req -newkey rsa:2048 -nodes -subj "/CN=$name" -keyout "$dir/$name.key" -out "$dir/$name.csr") 2>> "$VAR/tls.log" || return 1
    printf 'subjectAltName=%s\nextendedKeyUsage=serverAuth\n' "$of" > "$dir/$name.ext"
    openssl x509 -req -in "$dir/$name.csr" -CA "$dir/authority.crt" -CAkey "$dir/authority.key" -CAcreateserial -days 390 -extfile "$dir/$name.ext" -out "$dir/$name.crt" 2>> "$VAR/tls.log" || return 1
  fi
}
# Serves the pages of port $1 on https under the name $2 on port $3 of every address. Sets TLS_GROUP; stop_tls ends it.
start_tls() {
  local dir="$VAR/tls"
  certificate "$2" || { tail -n 5 "$VAR/tls.log" >&2; fail "No certificate could be made for $2; var/tls.log says why."; }
  mkdir -p "$dir/run"
  cat > "$dir/nginx.conf" <<CONF
daemon off; worker_processes 2; pid $dir/run/pid; error_log $VAR/tls.log warn;
events { worker_connections 256; }
http {
  access_log off; client_max_body_size 3m;
  client_body_temp_path $dir/run/body; proxy_temp_path $dir/run/proxy; fastcgi_temp_path $dir/run/f; uwsgi_temp_path $dir/run/u; scgi_temp_path $dir/run/s;
  server {
    listen $3 ssl; server_name $2;
    ssl_certificate $dir/$2.crt; ssl_certificate_key $dir/$2.key; ssl_protocols TLSv1.2 TLSv1.3;
    location / {
      proxy_pass http://127.0.0.1:$1;
      proxy_set_header Host \$http_host; proxy_set_header X-Forwarded-Proto https; proxy_set_header X-Forwarded-For \$remote_addr; proxy_set_header X-Forwarded-Host \$http_host;
    }
  }
}
CONF
  setsid /usr/sbin/nginx -e "$VAR/tls.log" -p "$dir/run" -c "$dir/nginx.conf" > /dev/null 2>> "$VAR/tls.log" < /dev/null &
  TLS_GROUP=$!
  sleep 1
  kill -0 "$TLS_GROUP" 2>/dev/null || { tail -n 3 "$VAR/tls.log" >&2; fail "https could not be served on port $3. Is it in use?"; }
}
stop_tls() { [ -z "${TLS_GROUP:-}" ] || kill -TERM -- "-$TLS_GROUP" 2>/dev/null || true; }

# Works on what waits in the queue, in the background; a worker that ends is started again. Sets WORKER_GROUP.
start_worker() {
  # One for plans, and one for what takes long, so that a question keeps no plan waiting.
  setsid sh -c 'work() { while :; do php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=512M artisan queue:work --queue="$1" --quiet --sleep=1 --timeout=600 --max-time=3600; sleep 1; done; }; work default & work questions & wait' \
    > "$VAR/worker.log" 2>&1 < /dev/null &
  WORKER_GROUP=$!
}
stop_worker() { [ -z "${WORKER_GROUP:-}" ] || kill -TERM -- "-$WORKER_GROUP" 2>/dev/null || true; }
stop_server() { [ -z "${SERVER_GROUP:-}" ] || kill -TERM -- "-$SERVER_GROUP" 2>/dev/null || true; }
