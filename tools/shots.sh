# Takes the pictures of docs/screenshots anew from the demo data.
source tools/common.sh
need_build_tools
need_database
need_browser
mvn -q -B -ntp -Dspotless.check.skip=true -Dui.check.skip=true -De2e.excluded= -Dgroups=shots \
  -Dtest=ShotsTest -Dsurefire.failIfNoSpecifiedTests=false \
  -Dshots.folder="${1:-$PWD/docs/screenshots}" -pl e2e -am verify
