package goodbones.server.accounts;

import goodbones.server.pages.InterfacePages;
import goodbones.server.problems.Problems;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer.FrameOptionsConfig;
import org.springframework.security.core.session.SessionRegistry;
import org.springframework.security.core.session.SessionRegistryImpl;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.logout.HttpStatusReturningLogoutSuccessHandler;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.session.HttpSessionEventPublisher;

/** Everything is closed; what follows is opened, for everybody or for who is signed in. */
@Configuration
class SecurityConfiguration {
  /**
   * Of the interface (Content Security Policy 3). The frames in which pages are drawn are documents
   * of the interface with a style sheet in them, so style sheets may stand in documents; scripts
   * may not.
   */
  private static final String INTERFACE =
      "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self'"
          + " data: blob:; font-src 'self' data:; connect-src 'self'; frame-src 'self'; form-action"
          + " 'self'; base-uri 'none'; frame-ancestors 'self'; object-src 'none'";

  private static final String CONTROL = "/control/backup";

  private static final String NO_DEVICES =
      "camera=(), microphone=(), geolocation=(), payment=(), usb=(), midi=(), serial=(),"
          + " bluetooth=(), display-capture=(), publickey-credentials-get=()";

  /** The interface itself, which shows nothing before one has signed in. */
  private static final String[] INTERFACE_FILES =
      Stream.of(InterfacePages.ADDRESSES, InterfacePages.FILES)
          .flatMap(List::stream)
          .toArray(String[]::new);

  @Bean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  SessionRegistry sessionRegistry() {
    return new SessionRegistryImpl();
  }

  @Bean
  HttpSessionEventPublisher sessionEvents() {
    return new HttpSessionEventPublisher();
  }

  /** Addresses that no page has, such as with encoded slashes or nulls in them. */
  @Bean
  RequestRejectedHandler rejected(Problems problems) {
    return (request, response, why) ->
        problems.write(
            response,
            HttpStatus.BAD_REQUEST,
            "bad-input",
            "This address cannot be read",
            "It holds characters that no address here has; nothing was changed");
  }

  @Bean
  SecurityFilterChain security(
      HttpSecurity http, Attempts attempts, Problems problems, SessionRegistry registry)
      throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(HttpMethod.GET, INTERFACE_FILES)
                    .permitAll()
                    .requestMatchers(
                        HttpMethod.GET,
                        "/hosted/**",
                        "/actuator/health",
                        "/actuator/health/liveness")
                    .permitAll()
                    .requestMatchers(
                        "/api/session",
                        "/api/session/first",
                        "/api/session/code",
                        SignInGuard.PATH,
                        "/api/sign-out",
                        "/error")
                    .permitAll()
                    // It knows a token of its own, and is there only where it is started with one.
                    .requestMatchers(HttpMethod.POST, CONTROL)
                    .permitAll()
                    .requestMatchers("/api/**", "/client-fonts/**", "/v3/**")
                    .authenticated()
                    .anyRequest()
                    .denyAll())
        .csrf(csrf -> csrf.spa().ignoringRequestMatchers(CONTROL))
        .headers(SecurityConfiguration::headers)
        // Nothing is remembered of who is not signed in, so there is no session either.
        .requestCache(cache -> cache.disable())
        .sessionManagement(
            session ->
                session.sessionConcurrency(
                    many ->
                        many.maximumSessions(-1)
                            .sessionRegistry(registry)
                            .expiredSessionStrategy(
                                ended -> unauthorized(problems, ended.getResponse()))))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                        (request, response, error) -> unauthorized(problems, response))
                    .accessDeniedHandler(
                        (request, response, error) ->
                            problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "forbidden",
                                "This is closed",
                                "Either there is nothing at this address, or the request lacks the"
                                    + " token of the page that sent it: load the page anew and do it"
                                    + " again")))
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .loginProcessingUrl(SignInGuard.PATH)
                    .successHandler(
                        (request, response, user) -> {
                          attempts.succeeded(name(request), request.getRemoteAddr());
                          response.setStatus(HttpStatus.NO_CONTENT.value());
                        })
                    .failureHandler(
                        (request, response, error) -> {
                          problems.write(
                              response,
                              HttpStatus.UNAUTHORIZED,
                              "signed-out",
                              "Not signed in",
                              "Name and password do not go together");
                        }))
        .addFilterBefore(
            new SignInGuard(attempts, problems), UsernamePasswordAuthenticationFilter.class)
        .logout(
            logout ->
                logout
                    .logoutUrl("/api/sign-out")
                    .logoutSuccessHandler(new HttpStatusReturningLogoutSuccessHandler()))
        .build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    headers
        .frameOptions(FrameOptionsConfig::sameOrigin)
        .contentSecurityPolicy(policy -> policy.policyDirectives(INTERFACE))
        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
        .permissionsPolicyHeader(policy -> policy.policy(NO_DEVICES));
  }

  private static String name(HttpServletRequest request) {
    String name = request.getParameter("username");
    return name == null ? "" : name;
  }

  private static void unauthorized(
      Problems problems, jakarta.servlet.http.HttpServletResponse response)
      throws java.io.IOException {
    problems.write(
        response,
        HttpStatus.UNAUTHORIZED,
        "signed-out",
        "Signed out",
        "You are signed out. Sign in again to go on");
  }
}
