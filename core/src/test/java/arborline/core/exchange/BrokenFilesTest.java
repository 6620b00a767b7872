package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.inspect.Inspector;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No file, however broken, ends a reader otherwise than by lines or by a reason in words. */
class BrokenFilesTest {

  private static final String TABLE =
      "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
          + "A-1,\"Mill, \"\"long\"\"\",end-mill-flat,1,10,22,10,72,4\n"
          + "A-2,Ball,end-mill-ball,2,6,9,6,57,2\n";
  private static final String JSON =
      "{\"format\":\"arbor-line-tools\",\"version\":1,\"tools\":["
          + "{\"code\":\"A-1\",\"class\":\"end-mill-flat\",\"values\":"
          + "{\"DC\":{\"text\":\"1/2\",\"unit\":\"in\"},\"NOF\":{\"text\":\"4\"}}}]}";

  private static int read(byte[] file) {
    ItemReader format = BundleFormats.recognise(file);
    int lines = 0;
    try (ItemSource source =
        format.open(new ByteArrayInputStream(file), file, TableReading.propose(file))) {
      for (Optional<RawItem> raw = source.next(); raw.isPresent(); raw = source.next()) {
        Inspector.inspect(raw.get());
        lines++;
      }
    } catch (IOException refused) {
      assertFalse(refused.getMessage().isBlank());
    }
    return lines;
  }

  private static byte[] damaged(String text, Random random) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    int faults = 1 + random.nextInt(6);
    for (int i = 0; i < faults; i++) {
      bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
    }
    return java.util.Arrays.copyOf(bytes, 1 + random.nextInt(bytes.length));
  }

  @RepeatedTest(200)
  void damagedTable(RepetitionInfo run) {
    assertTrue(read(damaged(TABLE, new Random(run.getCurrentRepetition()))) >= 0);
  }

  @RepeatedTest(200)
  void damagedJson(RepetitionInfo run) {
    assertTrue(read(damaged(JSON, new Random(7_000 + run.getCurrentRepetition()))) >= 0);
  }

  @RepeatedTest(50)
  void noise(RepetitionInfo run) {
    byte[] noise = new byte[2_000];
    new Random(run.getCurrentRepetition()).nextBytes(noise);
    assertTrue(read(noise) >= 0);
  }

  @ParameterizedTest
  @ValueSource(strings = {"json", "json-list"})
  void jsonInAnEncodingThatIsNoneIsRefusedInWords(String reader) {
    byte[] file = {0, 0, (byte) 0xff, (byte) 0xfe, 0, 0, '{', 0};
    ItemReader format = BundleFormats.reader(reader).orElseThrow();
    UnreadableFileException refused =
        assertThrows(
            UnreadableFileException.class,
            () ->
                format
                    .open(new ByteArrayInputStream(file), file, TableReading.propose(file))
                    .next());
    assertTrue(refused.getMessage().startsWith("line 1: not valid JSON"), refused.getMessage());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{}",
        "{\"format\":\"arbor-line-tools\"}",
        "{\"format\":\"arbor-line-tools\",\"tools\":7}",
        "{\"format\":\"other\",\"tools\":[]}",
        "[",
        "{\"format\":\"arbor-line-tools\",\"tools\":[{\"code\":"
      })
  void jsonThatIsNotOursIsRefusedInWords(String text) {
    assertTrue(read(text.getBytes(StandardCharsets.UTF_8)) <= 1);
  }
}
