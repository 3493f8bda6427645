# frozen_string_literal: true

require "etc"
require "fileutils"
require "securerandom"
require "uri"

module NutShelf
  module Boot
    # What the environment says, read here and nowhere else.
    module Settings
      ROOT = File.expand_path("..", __dir__)
      LOCAL = ENV.fetch("NUT_SHELF_LOCAL", File.join(ROOT, ".local"))

      module_function

      # @return [String, nil] a server somebody else runs
      def foreign_url = blank(ENV.fetch("DATABASE_URL", nil))

      # @return [Integer] where the app listens
      def port = Integer(ENV.fetch("PORT", "9380"), 10)

      # @return [Integer] web processes; as many as the machine has cores, unless said
      def web_processes = Integer(ENV.fetch("NUT_SHELF_WEB", Etc.nprocessors.to_s), 10).clamp(1, 64)

      # @return [Boolean] whether people reach the app over TLS (a proxy in front), so that cookies ask for it
      def tls? = ENV["NUT_SHELF_TLS"] == "1"

      # @return [String] how people reach the app, such as "http://nutshelf.home:9380": labels, links and feeds name it
      def public_url = said_url || "http://127.0.0.1:#{port}"

      # @return [Boolean] whether somebody said how people reach it: the environment, else the file that keeps it
      def public_url_said? = !said_url.nil?

      # @param url [String] how people reach the app from now on
      def keep_public_url(url)
        FileUtils.mkdir_p(LOCAL)
        File.write(address_file, "#{url.chomp("/")}\n")
      end

      def said_url
        kept = File.file?(address_file) ? File.read(address_file) : nil
        (blank(ENV.fetch("NUT_SHELF_URL", nil)) || blank(kept))&.chomp("/")
      end

      def address_file = File.join(LOCAL, "public-address")

      # @return [Array<String>] names the app answers to, besides the loopback ones
      def hosts = [URI.parse(public_url).host].compact

      # @return [Boolean] whether a proxy of ours stands before the app and says who asks
      def behind_proxy? = tls? || ENV["NUT_SHELF_PROXY"] == "1"

      # @return [String] build stamp for the ETag
      def build = @build ||= blank(ENV.fetch("NUT_SHELF_BUILD", nil)) || SecureRandom.hex(4)

      # A secret that survives restarts, made once and readable by its owner alone.
      def secret(name, bytes = 48)
        path = File.join(LOCAL, "secrets", name)
        FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
        keep_first(path, SecureRandom.hex(bytes)) unless File.file?(path)
        File.read(path)
      end

      # Of two that make the same secret at once, one is kept whole.
      def keep_first(path, text)
        mine = "#{path}.#{SecureRandom.hex(6)}"
        File.write(mine, text, perm: 0o600)
        File.link(mine, path)
      rescue Errno::EEXIST
        nil
      ensure
        FileUtils.rm_f(mine)
      end

      def blank(text) = text.nil? || text.strip.empty? ? nil : text.strip
    end
  end
end
