# What bin/start, bin/test and bin/bench share. Sourced, never run. Expects ROOT.
# Here: speaking, installing, building. database.sh has PostgreSQL, serving.sh nginx, php-fpm and the queue.


say() { printf '%s\n' "$*" >&2; }
step() { CURRENT_STEP=$*; printf '\n-- %s\n' "$*" >&2; }
fail() { printf '\nStopped while: %s\n%s\n' "${CURRENT_STEP:-starting}" "$*" >&2; exit 1; }

VAR="$ROOT/var"
mkdir -p "$VAR"

# One at a time of each kind; whoever comes second leaves what the first one runs alone. $1 names the kind. The lock is
# this process's and not its children's, so that it ends with it, however that happens.
only_one() {
  exec 9> "$VAR/$1.lock"
  flock -n 9 || fail "bin/$1 is running here already. End that one first (Ctrl-C in its window); nothing was touched."
}
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

# Names the Debian packages that are missing. $1 is "with-browser" for the tests.
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
  [ -x /usr/sbin/nginx ] || printf 'nginx-light\n'
  [ -x "/usr/sbin/php-fpm$version" ] || printf 'php%s-fpm\n' "$version"
  command -v openssl >/dev/null || printf 'openssl\n'
  if [ "${1:-}" = with-browser ]; then [ -x /usr/bin/chromium ] || printf 'chromium\n'; fi
}

install_system() {
  local packages
  packages=$(missing_packages "${1:-}" | tr '\n' ' ') || exit 1
  [ -n "${packages// /}" ] || return 0
  step "installing Debian packages: $packages"
  as_root true || fail "These packages are missing: $packages
You are not root and may not use sudo without a password here. Ask someone who may to run:
    apt-get install --no-install-recommends $packages"
  # Debian's package would start a cluster of its own; ours lives with the project.
  as_root sh -c 'mkdir -p /etc/postgresql-common; grep -qs create_main_cluster /etc/postgresql-common/createcluster.conf || echo "create_main_cluster = false" >> /etc/postgresql-common/createcluster.conf'
  as_root apt-get update -qq >&2 || fail "apt-get update failed; is Debian's package archive reachable?"
  # Nor must Debian's nginx and php-fpm start by being installed, now or with the machine: ours run as an ordinary user.
  local quiet=
  if [ ! -e /usr/sbin/policy-rc.d ]; then
    quiet=yes
    as_root sh -c 'printf "#!/bin/sh\nexit 101\n" > /usr/sbin/policy-rc.d; chmod 755 /usr/sbin/policy-rc.d'
  fi
  # shellcheck disable=SC2086
  as_root env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq --no-install-recommends $packages > "$VAR/apt.log" 2>&1 \
    || { [ -z "$quiet" ] || as_root rm -f /usr/sbin/policy-rc.d; tail -n 15 "$VAR/apt.log" >&2; fail "apt-get could not install them; the whole output is in var/apt.log."; }
  [ -z "$quiet" ] || as_root rm -f /usr/sbin/policy-rc.d
  case " $packages " in *nginx*|*fpm*) as_root sh -c 'for one in nginx php*-fpm; do systemctl disable "$one"; done' > /dev/null 2>&1 || true ;; esac
}

# What moves the clock of programs, for the tests of other days.
install_clock() {
  [ -n "$(clock_library)" ] || as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends faketime > "$VAR/apt.log" 2>&1 \
    || fail "Debian's faketime could not be installed; the whole output is in var/apt.log."
}
clock_library() { for one in /usr/lib/*/faketime/libfaketime.so.1; do [ -f "$one" ] && printf '%s' "$one"; done; }

# Everything started from here on is so many seconds ahead; 0 puts the clock right.
clock_ahead() {
  if [ "$1" = 0 ]; then unset LD_PRELOAD FAKETIME FAKETIME_DONT_FAKE_MONOTONIC; return; fi
  LD_PRELOAD=$(clock_library); FAKETIME=$(printf '%+d' "$1") FAKETIME_DONT_FAKE_MONOTONIC=1
  export LD_PRELOAD FAKETIME FAKETIME_DONT_FAKE_MONOTONIC
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
  chmod -R u+rwX,go+rX "$ROOT/vendor" # some come readable by their owner only, and who serves is another
}
js_libraries() {
  (cd "$ROOT" && npm install --no-save --no-fund --no-audit > "$VAR/npm.log" 2>&1) \
    || { tail -n 15 "$VAR/npm.log" >&2; fail "npm could not install the libraries; the whole output is in var/npm.log."; }
}

build_pages() {
  # The pages have the values of the API's enums from the code.
  [ -f "$ROOT/resources/js/api/enums.ts" ] || rm -f "$VAR/stamps/describing the API"
  when_changed "describing the API" "app core/src routes bin/types bin/lib/enums.mjs" described || exit 1
  [ -f "$ROOT/public/build/manifest.json" ] || rm -f "$VAR/stamps/building the pages"
  when_changed "building the pages" "resources package.json vite.config.ts tsconfig.json" pages || exit 1
}
described() {
  (cd "$ROOT" && bin/types) || fail "The API could not be described."
}
pages() {
  (cd "$ROOT" && npx vite build > "$VAR/vite.log" 2>&1) || { tail -n 25 "$VAR/vite.log" >&2; fail "The pages could not be built; the whole output is in var/vite.log."; }
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'; }
random_text() { php -r 'echo bin2hex(random_bytes(24));'; }

# shellcheck source=bin/lib/database.sh
. "$ROOT/bin/lib/database.sh"
# shellcheck source=bin/lib/serving.sh
. "$ROOT/bin/lib/serving.sh"
