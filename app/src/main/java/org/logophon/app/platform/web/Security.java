package org.logophon.app.platform.web;

import java.util.Set;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;

/**
 * No other site may act through a person's browser, and the application answers under its own names only. Who may do
 * what is no matter of this: {@code people.Access} decides.
 */
@Configuration
class Security {

    private static final String POLICY =
            "default-src 'self'; script-src 'self' 'nonce-%1$s'; style-src 'self' 'nonce-%1$s'; img-src "
                    + "'self' data:; media-src 'self' blob:; object-src 'none'; base-uri 'self'; "
                    + "form-action 'self'; frame-ancestors 'none'";
    private static final String TOKEN_MISSING =
            "This page’s session has expired, and nothing was done. Reload the page; what was saved is safe.";
    private static final String ELSEWHERE =
            "Monitoring isn't served here. Set LOGOPHON_MANAGEMENT to a port of its own.";
    private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    @Bean
    SecurityFilterChain chain(HttpSecurity http, EarlyAnswer answers, AllowedHosts who, ManagementAddresses management)
            throws Exception {
        if (who.publicByTls()) {
            http.redirectToHttps(https -> https.requestMatchers(
                    request -> who.publicHost().equalsIgnoreCase(request.getServerName()) && !request.isSecure()));
        }
        return http.addFilterBefore(new OwnPagesOnly(answers), CsrfFilter.class)
                .exceptionHandling(errors -> errors.accessDeniedHandler((request, response, denied) ->
                        answers.refuse(request, response, management.asked(request) ? ELSEWHERE : TOKEN_MISSING)))
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                request -> management.asked(request) && !management.allowed(request))
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(csrf -> csrf.spa().csrfTokenRepository(new TokenCookies()))
                .headers(headers -> headers.addHeaderWriter((request, response) ->
                                response.setHeader("Content-Security-Policy", POLICY.formatted(CspNonce.of(request))))
                        .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
                        .cacheControl(HeadersConfigurer.CacheControlConfig::disable)
                        .referrerPolicy(referrer -> referrer.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** A name that was rebound to this machine by somebody's DNS is turned away. */
    @Bean
    HttpFirewall ownNames(AllowedHosts who) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(name -> LOOPBACK.contains(name) || name.equalsIgnoreCase(who.publicHost()));
        return firewall;
    }
}
