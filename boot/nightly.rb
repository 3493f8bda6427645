# frozen_string_literal: true

require "digest"
require "fileutils"

module NutShelf
  module Boot
    # Backups of one folder, one a day, each with its digest beside it; the oldest go when there are more than are kept.
    class Nightly
      NAME = /\Anut-shelf-\d{4}-\d{2}-\d{2}\.json\z/

      # @param folder [String]
      # @param keep [Integer] backups, the new one among them
      # @raise [ArgumentError] when none would be kept
      def initialize(folder, keep:)
        raise ArgumentError, "At least one backup has to be kept." unless keep.positive?

        @folder = folder
        @keep = keep
      end

      # Whole or not at all: a night without power leaves yesterday's as it was.
      # @param text [String] a backup
      # @param day [Date]
      # @return [String] its path
      def write(text, day)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        path = File.join(@folder, "nut-shelf-#{day.iso8601}.json")
        settle(path, text)
        settle("#{path}.sha256", "#{Digest::SHA256.hexdigest(text)}  #{File.basename(path)}\n")
        forget
        path
      end

      # @return [Array<String>] paths, the latest first
      def all = Dir.children(@folder).grep(NAME).sort.reverse.map { |name| File.join(@folder, name) }

      private

      def settle(path, text)
        File.open("#{path}.new", "w", 0o600) do |file|
          file.write(text)
          file.fsync
        end
        File.rename("#{path}.new", path)
      end

      def forget = all.drop(@keep).each { |path| FileUtils.rm_f([path, "#{path}.sha256"]) }
    end
  end
end
