package goodbones.server.accounts;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer.FrameOptionsConfig;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.logout.HttpStatusReturningLogoutSuccessHandler;

@Configuration
class SecurityConfiguration {
  @Bean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  SecurityFilterChain security(HttpSecurity http) throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers("/api/session", "/api/sign-in")
                    .permitAll()
                    .requestMatchers("/api/**", "/v3/api-docs/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
        .csrf(csrf -> csrf.spa())
        .headers(headers -> headers.frameOptions(FrameOptionsConfig::sameOrigin))
        .exceptionHandling(
            e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .loginProcessingUrl("/api/sign-in")
                    .successHandler((request, response, user) -> response.setStatus(204))
                    .failureHandler((request, response, error) -> response.setStatus(401)))
        .logout(
            logout ->
                logout
                    .logoutUrl("/api/sign-out")
                    .logoutSuccessHandler(new HttpStatusReturningLogoutSuccessHandler()))
        .build();
  }
}
