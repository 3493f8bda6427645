# frozen_string_literal: true

require "fileutils"
require "ipaddr"
require "openssl"
require "socket"
require_relative "../core/value"
require_relative "settings"

module NutShelf
  module Boot
    # A certificate authority of the household's own, made once, and a certificate for this machine from it, made anew
    # before it runs out or when the machine's addresses change. The authority may vouch for names and addresses of
    # home networks alone (RFC 5280, name constraints, marked critical): a phone that trusts it can be led astray
    # nowhere else.
    class HouseCertificates
      AUTHORITY_DAYS = 3650
      # Phones take none that is good for longer than 398 days.
      DAYS = 397
      RENEW_DAYS = 60
      DAY = 86_400
      HOME_NAMES = %w[local home.arpa internal localhost].freeze
      HOME_NETS = %w[
        10.0.0.0/255.0.0.0 172.16.0.0/255.240.0.0 192.168.0.0/255.255.0.0 169.254.0.0/255.255.0.0 127.0.0.0/255.0.0.0
        fc00::/fe00:: ::1/ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff
      ].freeze

      # What the machine is called and reached by: `name` without a domain, `addresses` of home networks. Frozen.
      Machine = Core::Value.of(:name, addresses: [].freeze) do
        # @return [Machine] this one
        def self.here
          plain = Socket.gethostname.split(".").first.to_s.downcase.gsub(/[^a-z0-9-]/, "-").gsub(/\A-+|-+\z/, "")
          found = Socket.ip_address_list.select { |one| one.ipv4_private? || one.ipv6_unique_local? }
          new(name: plain.empty? ? "nut-shelf" : plain, addresses: found.sort_by do |one|
            one.ipv6? ? 1 : 0
          end.map(&:ip_address).uniq.freeze)
        end

        # @return [Array<String>] names it answers to, the most likely first
        def names = ["#{name}.local", "#{name}.home.arpa", "localhost"]

        # @return [Array<String>] every host people may ask for
        def hosts = [*names, *addresses.map { |one| one.include?(":") ? "[#{one}]" : one }]

        # @return [String] by which a phone finds it: an address, since not every network knows names
        def host = addresses.find { |one| !one.include?(":") } || names.first
      end

      # @param folder [String] where keys and certificates lie, readable by their owner alone
      # @param machine [Machine]
      # @param now [Time]
      def initialize(folder: File.join(Settings::LOCAL, "tls"), machine: Machine.here, now: Time.now)
        @folder = folder
        @machine = machine
        @now = now
      end

      attr_reader :machine

      # Makes what is missing or about to run out.
      # @return [HouseCertificates] itself
      def ready
        FileUtils.mkdir_p(@folder, mode: 0o700)
        make_authority unless File.file?(authority_path)
        make_server if stale?
        self
      end

      # @return [Boolean] whether the machine's certificate is missing, runs out soon, or is for other addresses
      def stale?
        return true unless [server_path, key_path].all? { |path| File.file?(path) }

        server = read(server_path)
        server.not_after < @now + (RENEW_DAYS * DAY) || alternatives(server) != wanted ||
          !server.verify(authority.public_key)
      end

      # @return [String] the certificate of the machine followed by that of the authority, in PEM
      def server_path = path("server.pem")

      # @return [String]
      def key_path = path("server.key")

      # @return [OpenSSL::X509::Certificate]
      def authority = read(authority_path)

      # @return [String] by which people tell the authority on their phone's screen: SHA-256 in pairs
      def fingerprint = OpenSSL::Digest::SHA256.hexdigest(authority.to_der).upcase.scan(/../).join(":")

      private

      def path(name) = File.join(@folder, name)

      def authority_path = path("authority.pem")

      def authority_key_path = path("authority.key")

      def read(path) = OpenSSL::X509::Certificate.new(File.read(path))

      # This machine itself among them.
      def wanted
        addresses = ["127.0.0.1", *@machine.addresses].map { |one| "IP:#{IPAddr.new(one)}" }
        [*@machine.names.map { |name| "DNS:#{name}" }, *addresses].sort
      end

      def alternatives(certificate)
        found = certificate.extensions.find { |one| one.oid == "subjectAltName" } or return []
        found.value.split(", ").map { |one| alike(one) }.sort
      end

      # An address is written in many ways.
      def alike(name) = name.sub(/\AIP Address:(.*)/) { "IP:#{IPAddr.new(Regexp.last_match(1))}" }

      def make_authority
        key = OpenSSL::PKey::EC.generate("prime256v1")
        made = blank("Nut Shelf of #{@machine.name}, for this household alone", AUTHORITY_DAYS, key)
        made.issuer = made.subject
        extend(made, made, [
                 ["basicConstraints", "CA:TRUE,pathlen:0", true], ["keyUsage", "keyCertSign,cRLSign", true],
                 ["subjectKeyIdentifier", "hash", false], ["nameConstraints", constraints, true]
               ])

        made.sign(key, "SHA256")
        write(authority_key_path, key.to_pem)
        write(authority_path, made.to_pem)
      end

      def make_server
        key = OpenSSL::PKey::EC.generate("prime256v1")
        made = blank(@machine.names.first, DAYS, key)
        made.issuer = authority.subject
        extend(made, authority, [
                 ["basicConstraints", "CA:FALSE", true], ["keyUsage", "digitalSignature", true],
                 ["extendedKeyUsage", "serverAuth", false], ["subjectKeyIdentifier", "hash", false],
                 ["authorityKeyIdentifier", "keyid", false], ["subjectAltName", wanted.join(","), false]
               ])

        made.sign(OpenSSL::PKey.read(File.read(authority_key_path)), "SHA256")
        write(key_path, key.to_pem)
        write(server_path, made.to_pem + authority.to_pem)
      end

      def blank(name, days, key)
        made = OpenSSL::X509::Certificate.new
        made.version = 2
        made.serial = OpenSSL::BN.rand(120)
        made.subject = OpenSSL::X509::Name.new([["CN", name]])
        made.not_before = @now - 3600
        made.not_after = @now + (days * DAY)
        made.public_key = key
        made
      end

      def extend(made, issuer, list)
        factory = OpenSSL::X509::ExtensionFactory.new(issuer, made)
        list.each { |name, value, critical| made.add_extension(factory.create_extension(name, value, critical)) }
      end

      def constraints
        [*HOME_NAMES.map { |name| "permitted;DNS:#{name}" }, *HOME_NETS.map { |net| "permitted;IP:#{net}" }].join(",")
      end

      # Whole or not at all, and nobody else's to read.
      def write(path, text)
        File.write("#{path}.new", text, perm: 0o600)
        File.rename("#{path}.new", path)
      end
    end
  end
end
