# frozen_string_literal: true

require "fileutils"
require_relative "app"
require_relative "by_scheme"
require_relative "house_certificates"
require_relative "settings"
require_relative "trust_page"

module NutShelf
  module Boot
    # How the house is served: to this machine alone, or to the phones of the house over TLS. Says where to bind, which
    # hosts are ours, and what is served.
    class Serving
      SECURE_PORT = 9443
      DAY = 86_400
      HOST = ENV.fetch("HOST", "127.0.0.1")

      # @param arguments [Array<String>] of the command: "--house", "--address" URL (kept for the next time)
      # @raise [ArgumentError] for others, in words
      def initialize(arguments)
        rest = arguments.dup
        @house = !rest.delete("--house").nil?
        address(rest)
        raise ArgumentError, "Nobody knows \"#{rest.first}\". It takes --house and --address URL." if rest.any?

        @certificates = HouseCertificates.new.ready if @house
      end

      # @return [Boolean] whether phones of the house are served, over TLS
      def house? = @house

      # @return [String] the machine's address for people
      def public_url
        return Settings.public_url if Settings.public_url_said? || !house?

        "https://#{machine.host}:#{secure_port}"
      end

      # @param port [Integer] that is free, for what is not secured
      attr_writer :port

      # @param url [String] of the database
      # @param services [Desk::Services]
      # @param options [Hash] see Web.build
      # @return [#call] Rack app
      def app(url, services:, **options)
        return Web.build(url, services: services, **options) unless house?

        house = Web.build(
          url, services: services, secure: true, address: public_url, hosts: [*Settings.hosts, *machine.hosts],
          trust: { "address" => plain_url, "fingerprint" => @certificates.fingerprint }, **options
        )
        ByScheme.new(house, TrustPage.new(@certificates, public_url))
      end

      # @param config [Puma::DSL]
      def bind(config)
        return config.bind("tcp://#{HOST}:#{@port}") unless house?

        config.bind("tcp://0.0.0.0:#{@port}")
        config.ssl_bind("0.0.0.0", secure_port, key: @certificates.key_path, cert: @certificates.server_path,
          verify_mode: "none")
      end

      # @return [Integer] where the house is served over TLS
      def secure_port = Integer(ENV.fetch("NUT_SHELF_TLS_PORT", SECURE_PORT.to_s), 10)

      # Waits until the certificate has to be another one. The server must be started anew then.
      # @return [true]
      def until_stale(every: DAY)
        sleep(every) until HouseCertificates.new.stale?
        true
      end

      # @return [String] what whoever starts it is told
      def words
        return "Nut Shelf is at http://#{HOST}:#{@port}" unless house?

        "Nut Shelf is at #{public_url}\n" \
          "A phone that does not know it yet begins at #{plain_url}\n" \
          "The household's certificate has the fingerprint #{@certificates.fingerprint}"
      end

      private

      def machine = @certificates.machine

      def plain_url = "http://#{machine.host}:#{@port}"

      def address(rest)
        at = rest.index("--address") or return
        url = rest.slice!(at, 2).last
        unless url&.match?(URL)
          raise ArgumentError,
            "An address is like https://pantry.local:9443, with nothing after it."
        end

        Settings.keep_public_url(url)
      end

      URL = %r{\Ahttps?://[a-z0-9.\-\[\]:]+\z}i
      private_constant :URL
    end
  end
end
