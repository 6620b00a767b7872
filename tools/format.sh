# Formats all sources.
source tools/common.sh
need_build_tools
mvn -q -B -ntp spotless:apply
(cd ui && npm run -s format >/dev/null)
