package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import jakarta.annotation.PreDestroy;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Where pictures are drawn: a process of its own, one picture at a time. Whatever a picture makes
 * the libraries do, the process is ended when its time is over and can fill no memory but its own;
 * the next picture gets a new one.
 */
@Component
class DrawingRoom {
  private static final String MEMORY = "-Xmx512m";
  private static final int LOOK_MS = 100;

  /** So many times as long as it may work, whatever else the machine does. */
  private static final int IDLE = 8;

  private final Duration patience;
  private final ReentrantLock one = new ReentrantLock(true);
  private @Nullable Worker worker;

  DrawingRoom(@Value("${goodbones.drawing-patience:PT8S}") Duration patience) {
    this.patience = patience;
  }

  /** A running process with its two ends. */
  private record Worker(Process process, DataOutputStream to, DataInputStream from) {}

  /** A picture as the process is told of it. */
  record Sheet(String fileName, String mediaType, int width, int height, byte[] bytes) {
    static Sheet of(StoredFile file) {
      return new Sheet(
          file.fileName(), file.mediaType(), file.width(), file.height(), file.bytes());
    }
  }

  /** What the process is asked, and how its answer is read; nothing if it cannot be done. */
  private interface Answer<T> {
    Optional<T> read(DataInputStream from) throws IOException;
  }

  /**
   * Draws a picture small; waits until those before it are drawn.
   *
   * @throws BadInput if it cannot be drawn, or not in time
   */
  Raster draw(Sheet picture) {
    return asked(
        picture,
        0,
        from -> {
          int width = from.readInt();
          if (width == 0) {
            return Optional.empty();
          }
          int height = from.readInt();
          int[] argb = new int[width * height];
          for (int i = 0; i < argb.length; i++) {
            argb[i] = from.readInt();
          }
          return Optional.of(new Raster(width, height, argb));
        });
  }

  /**
   * Makes a picture of pixels narrower, as a file of the same kind.
   *
   * @param width in px
   * @throws BadInput if it cannot be drawn, or not in time
   */
  byte[] narrower(Sheet picture, int width) {
    return asked(
        picture,
        width,
        from -> {
          int length = from.readInt();
          return length == 0 ? Optional.empty() : Optional.of(from.readNBytes(length));
        });
  }

  private <T> T asked(Sheet picture, int wanted, Answer<T> answer) {
    one.lock();
    try {
      Worker drawing = running();
      Optional<T> done =
          inTime(
              drawing,
              CompletableFuture.supplyAsync(() -> answered(drawing, picture, wanted, answer)));
      if (done.isPresent()) {
        return done.get();
      }
    } catch (TimeoutException late) {
      end();
      throw new BadInput(
          "picture",
          "“"
              + picture.fileName()
              + "” takes longer than "
              + patience.toSeconds()
              + " seconds of work to draw; make it simpler, or bring it in as a PNG");
    } catch (IOException | ExecutionException broken) {
      end();
    } catch (InterruptedException e) {
      end();
      Thread.currentThread().interrupt();
    } finally {
      one.unlock();
    }
    throw new BadInput(
        "picture",
        "“" + picture.fileName() + "” cannot be drawn here; save it again and bring it in anew");
  }

  /**
   * What counts is the time that the process works, so that a picture is not refused because the
   * machine is busy; one that does nothing ends too.
   */
  private <T> Optional<T> inTime(Worker drawing, CompletableFuture<Optional<T>> answer)
      throws TimeoutException, ExecutionException, InterruptedException {
    Duration before = worked(drawing);
    Instant end = Instant.now().plus(patience.multipliedBy(IDLE));
    while (true) {
      try {
        return answer.get(LOOK_MS, TimeUnit.MILLISECONDS);
      } catch (TimeoutException notYet) {
        boolean over = worked(drawing).minus(before).compareTo(patience) > 0;
        if (over || Instant.now().isAfter(end)) {
          throw notYet;
        }
      }
    }
  }

  private static Duration worked(Worker drawing) {
    return drawing.process().info().totalCpuDuration().orElse(Duration.ZERO);
  }

  private static <T> Optional<T> answered(
      Worker drawing, Sheet picture, int wanted, Answer<T> answer) {
    try {
      drawing.to().writeUTF(picture.mediaType());
      drawing.to().writeInt(picture.width());
      drawing.to().writeInt(picture.height());
      drawing.to().writeInt(wanted);
      drawing.to().writeInt(picture.bytes().length);
      drawing.to().write(picture.bytes());
      drawing.to().flush();
      return answer.read(drawing.from());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private Worker running() throws IOException {
    Worker now = worker;
    if (now == null || !now.process().isAlive()) {
      Process process =
          new ProcessBuilder(command()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
      now =
          new Worker(
              process,
              new DataOutputStream(new BufferedOutputStream(process.getOutputStream())),
              new DataInputStream(new BufferedInputStream(process.getInputStream())));
      worker = now;
    }
    return now;
  }

  private static List<String> command() {
    String classes = System.getProperty("java.class.path");
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of(MEMORY, "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Djava.awt.headless=true"));
    command.addAll(List.of("-cp", classes));
    boolean packed =
        String.valueOf(DrawingRoom.class.getResource("DrawingRoom.class")).contains("BOOT-INF");
    if (packed) {
      command.add("-Dloader.main=" + DrawingProcess.class.getName());
      command.add("org.springframework.boot.loader.launch.PropertiesLauncher");
    } else {
      command.add(DrawingProcess.class.getName());
    }
    return command;
  }

  /** Ends the process, and with it whatever it was at. */
  @PreDestroy
  void end() {
    Worker now = worker;
    worker = null;
    if (now != null) {
      now.process().destroyForcibly();
    }
  }
}
