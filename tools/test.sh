# Every check and every test, on a database and a browser of its own; or those of one module:
# core, shop, ui, rig, server, e2e.
source tools/common.sh
need_build_tools
if [ "${1:-}" != core ]; then
  need_database
  need_galera
  need_browser
  need curl curl
fi
case "${1:-}" in
  core | shop | ui | rig | server)
    module="$1"
    shift
    exec mvn -B -ntp verify -pl "$module" -am "$@"
    ;;
  e2e)
    shift
    exec mvn -B -ntp verify -pl e2e -am "-Dtest=arborline.e2e.**" \
      -Dsurefire.failIfNoSpecifiedTests=false "$@"
    ;;
esac
# The modules that need nothing of each other, core and ui, are checked beside each other.
mvn -B -ntp -T 2 verify "$@"
