package goodbones.server.sites;

import goodbones.site.Service;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ServiceController {
  /** The service that an address leads to; without name and icon if it is none that is known. */
  @GetMapping("/api/service")
  Service service(@RequestParam String address) {
    return Service.at(address).orElseGet(() -> new Service("", ""));
  }
}
