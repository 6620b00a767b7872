package arborline.server.setup;

import arborline.server.delivery.ArrivingFiles;
import arborline.server.delivery.Deliveries;
import arborline.server.recipe.RecipeBody;
import arborline.server.recipe.Recipes;
import arborline.server.support.Json;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Recipes of the demo, and the deliveries that wait in it. */
@Component
class DemoDeliveries {

  private final Recipes recipes;
  private final Deliveries deliveries;
  private final Json json;

  DemoDeliveries(Recipes recipes, Deliveries deliveries, Json json) {
    this.recipes = recipes;
    this.deliveries = deliveries;
    this.json = json;
  }

  void bring(Path demo) throws IOException {
    for (Path file : files(demo.resolve("recipes"))) {
      recipes.save(json.read(Files.readString(file), RecipeBody.class));
    }
    for (Path file : files(demo.resolve("deliveries"))) {
      try (ArrivingFiles arriving = new ArrivingFiles();
          InputStream content = Files.newInputStream(file)) {
        arriving.add(file.getFileName().toString(), content);
        deliveries.bring(arriving, null, null);
      }
    }
    bringTray(demo.resolve("tray"));
  }

  /** Solids without data: those that stand there, and turned ones that are written from a table. */
  private void bringTray(Path tray) throws IOException {
    if (!Files.isDirectory(tray)) {
      return;
    }
    try (ArrivingFiles arriving = new ArrivingFiles()) {
      for (TurnedParts.TurnedPart part : TurnedParts.read(tray.resolve("turned.tsv"))) {
        arriving.add(part.code() + ".step", new ByteArrayInputStream(part.solid()));
      }
      for (Path file : files(tray)) {
        if (file.toString().endsWith(".step")) {
          try (InputStream content = Files.newInputStream(file)) {
            arriving.add(file.getFileName().toString(), content);
          }
        }
      }
      deliveries.bring(arriving, null, null);
    }
  }

  private static List<Path> files(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files.sorted().toList();
    }
  }
}
