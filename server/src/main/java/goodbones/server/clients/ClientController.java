package goodbones.server.clients;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ClientController {
  private final Brands brands;

  ClientController(Brands brands) {
    this.brands = brands;
  }

  @GetMapping("/brands/sets")
  List<ClientViews.ReadySetView> readySets() {
    return brands.readySets();
  }

  @PostMapping("/brands/try")
  ClientViews.BrandTried tryBrand(@RequestBody ClientViews.BrandRequest request) {
    return brands.tried(request);
  }

  @PostMapping("/brands")
  ClientViews.BrandMade makeBrand(@RequestBody ClientViews.BrandRequest request) {
    return brands.make(request);
  }
}
