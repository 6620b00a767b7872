# Every check and every test, on a database and a browser of its own.
source tools/common.sh
need_build_tools
need_database
need_galera
need_browser
need curl curl
mvn -B -ntp verify "$@"
