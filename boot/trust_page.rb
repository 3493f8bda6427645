# frozen_string_literal: true

require "cgi"

module NutShelf
  module Boot
    # The one page a phone gets without TLS: what the household's certificate is, the certificate itself, and how to
    # take it back. Nothing of the household is told here.
    class TrustPage
      FILE = "/house-authority.crt"
      HEADERS = {
        "content-type" => "text/html; charset=utf-8", "cache-control" => "no-store",
        "content-security-policy" => "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'",
        "x-content-type-options" => "nosniff", "referrer-policy" => "no-referrer"
      }.freeze

      # @param certificates [HouseCertificates]
      # @param address [String] where the house is to be opened, over TLS
      def initialize(certificates, address)
        @certificates = certificates
        @address = address
      end

      # @param env [Hash] of Rack
      # @return [Array] of Rack
      def call(env)
        return refused unless %w[GET HEAD].include?(env["REQUEST_METHOD"])

        case env["PATH_INFO"]
        when FILE then certificate
        when "/" then [200, HEADERS.dup, [page]]
        else [308, { "location" => "#{@address}#{env["PATH_INFO"]}" }, []]
        end
      end

      private

      def refused = [405, { "allow" => "GET, HEAD", "content-type" => "text/plain" }, ["Only to look at.\n"]]

      def certificate
        headers = { "content-type" => "application/x-x509-ca-cert", "cache-control" => "no-store",
                    "content-disposition" => "attachment; filename=\"nut-shelf-house.crt\"" }
        [200, headers, [@certificates.authority.to_der]]
      end

      STYLE = "body{font:1rem/1.5 sans-serif;max-width:40rem;margin:2rem auto;padding:0 1rem;color:#14212e}" \
              "a{color:#1e3f7d}code{word-break:break-all}li{margin:.4rem 0}"
      private_constant :STYLE

      def page
        <<~HTML
          <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Nut Shelf on this phone</title>
          <meta name="viewport" content="width=device-width, initial-scale=1"><style>#{STYLE}</style></head><body><main>
          <h1>Nut Shelf on this phone</h1>
          <p>The camera, the shop without signal and the icon on the home screen need a secure connection. This
          household vouches for its own machine, so the phone has to be told once.</p>
          <ol>
          <li><a href="#{FILE}">Fetch the household's certificate</a>.</li>
          <li>In the phone's settings, look for "certificate" and install it as a certificate authority. Some phones
          then ask once more, under "about" or "trust", whether it is to be trusted in full.</li>
          <li>Compare: the phone shows a SHA-256 fingerprint. It must be the one the machine said when it started, and
          the one under "On your phone" in Nut Shelf:<br><code>#{@certificates.fingerprint}</code></li>
          <li><a href="#{CGI.escape_html(@address)}">Open Nut Shelf</a> and put it on the home screen.</li>
          </ol>
          <h2>What it is</h2>
          <p>A certificate made on your own machine. It can vouch for names and addresses of home networks alone, never
          for a shop, a bank or any other place. Its key never leaves the machine.</p>
          <h2>How to take it back</h2>
          <p>Remove it in the same place of the phone's settings. To end it for all phones, stop Nut Shelf, delete the
          folder <code>.local/tls</code> and start again: a new one is made, and the old one is worth nothing.</p>
          </main></body></html>
        HTML
      end
    end
  end
end
