package goodbones.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/** The code with which the first person is made, as long as there is none. */
@Component
class FirstStart {
  private final AtomicReference<String> code = new AtomicReference<>("");

  /** Makes a code and prints it where the application was started, whatever is logged. */
  void begin() {
    String fresh = Codes.fresh();
    code.set(fresh);
    System.out.println(
        System.lineSeparator()
            + "Nobody works here yet. Open the address below in a browser and make the first"
            + " account"
            + System.lineSeparator()
            + "with this one-time code: "
            + fresh
            + System.lineSeparator());
  }

  boolean isOpen() {
    return !code.get().isEmpty();
  }

  /** Takes the code, so that it serves once; it is given back where nothing comes of it. */
  boolean take(String typed) {
    String now = code.get();
    boolean same =
        MessageDigest.isEqual(
            Codes.read(now).getBytes(StandardCharsets.UTF_8),
            Codes.read(typed).getBytes(StandardCharsets.UTF_8));
    return !now.isEmpty() && same && code.compareAndSet(now, "");
  }

  void giveBack(String typed) {
    code.set(typed);
  }
}
