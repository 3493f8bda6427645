# frozen_string_literal: true

require "rack"

module NutShelf
  module Api
    # The built interface: files with their hash in the name for ever, the page itself never from a cache.
    class Pages
      FOREVER = { "cache-control" => "public, max-age=31536000, immutable" }.freeze

      FILES = %r{\A/(assets/[\w.-]+|[\w-]+\.(svg|png|webmanifest|txt)|sw\.js)\z}

      # @param folder [String, nil] nil when the interface is not built
      def initialize(folder)
        @folder = folder
        @files = folder && Rack::Files.new(folder)
        @page = folder && File.file?(File.join(folder, "index.html")) && File.read(File.join(folder, "index.html"))
      end

      def call(env)
        return missing if env["PATH_INFO"].start_with?("/api/") || !%w[GET HEAD].include?(env["REQUEST_METHOD"])
        return asset(env) if env["PATH_INFO"].match?(FILES)

        page(env)
      end

      private

      def asset(env)
        status, headers, body = @files ? @files.call(env) : missing
        if status == 200 && env["PATH_INFO"].start_with?("/assets/")
          [status, { **headers, **FOREVER }, body]
        else
          # Under one name for ever: asked for anew, so that a new build is seen.
          [status, { **headers, "cache-control" => "no-cache" }, body]
        end
      end

      def page(env)
        unless @page
          return [
            503,
            { "content-type" => "text/plain; charset=utf-8" },
            ["The interface is not built yet: run bin/demo or bin/serve.\n"]
          ]
        end

        [
          200,
          { "content-type" => "text/html; charset=utf-8", "cache-control" => "no-store" },
          [@page.sub("NONCE", env["nut_shelf.nonce"])]
        ]
      end

      def missing = Problem.answer(*Problem.document("not_found", "There is nothing here.", "Go back to the shelf."))
    end
  end
end
