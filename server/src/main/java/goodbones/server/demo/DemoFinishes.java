package goodbones.server.demo;

import java.util.Map;

/** What each client of Purlin & Daughters has of its own in the finishes. */
final class DemoFinishes {
  private DemoFinishes() {}

  static Map<String, String> ferries() {
    return Map.of(
        "t-text", "#16303f",
        "t-surface", "#e8f0f1",
        "t-accent", "#e2a13a",
        "t-accent-deep", "#c98722",
        "t-on-accent", "#1c2a33",
        "t-overlay", "rgb(11 38 56 / 50%)",
        "t-small", "#1d6079");
  }

  static Map<String, String> museum() {
    return Map.of(
        "t-text", "#2e241c",
        "t-surface", "#f3ebdd",
        "t-accent", "#8a3a22",
        "t-accent-deep", "#6b2a17",
        "t-overlay", "rgb(36 24 16 / 62%)",
        "t-heading-font", "Rokkitt, Rockwell, serif",
        "t-body-font", "Nunito Sans, Verdana, sans-serif",
        "t-display", "68px",
        "t-radius", "3px",
        "t-small", "{color.accent}");
  }

  static Map<String, String> allotments() {
    return Map.of(
        "t-text", "#24331f",
        "t-surface", "#f1f5e4",
        "t-accent", "#6f9c3d",
        "t-accent-deep", "#5a8230",
        "t-heading-font", "Bitter, Rockwell, serif",
        "t-body-font", "Work Sans, Arial, sans-serif",
        "t-display", "52px",
        "t-radius", "12px",
        "t-small", "#2f5d34");
  }

  static Map<String, String> clocks() {
    return Map.of(
        "t-text", "#22283a",
        "t-surface", "#f6f1e6",
        "t-accent", "#8d2f2a",
        "t-accent-deep", "#6f2420",
        "t-heading-font", "Fraunces, Georgia, serif",
        "t-body-font", "Public Sans, Arial, sans-serif",
        "t-radius", "0px",
        "t-small", "{color.accent}",
        "t-hair", "1px solid #b88a3e");
  }
}
